import { z } from 'zod';
import type { KeyValue } from '../../core/motion/keys';
import { childOf, isKeyable, isNode, type Address } from './address';

/** What a project's schema says of the value at an address; undefined where a project has none that can have keys. */
export function leafSchema(schema: z.ZodType, project: unknown, address: Address): z.ZodType | undefined {
  if (!isKeyable(address)) return undefined;
  let found: z.ZodType | undefined = schema;
  let node = project;
  for (const step of address) {
    const own: z.ZodType | undefined = found && bare(found, node);
    if (own instanceof z.ZodObject) found = Object.hasOwn(own.shape, step) ? (own.shape[step] as z.ZodType) : undefined;
    else if (own instanceof z.ZodArray) found = own.element as z.ZodType;
    else if (own instanceof z.ZodRecord) found = own.valueType as z.ZodType;
    else return undefined;
    node = childOf(node, step);
  }
  return found && bare(found, node);
}

/** Without what says that it may be absent or may not be changed; of several the one that the value is. */
function bare(schema: z.ZodType, value: unknown): z.ZodType | undefined {
  if (
    schema instanceof z.ZodOptional ||
    schema instanceof z.ZodNullable ||
    schema instanceof z.ZodDefault ||
    schema instanceof z.ZodReadonly
  )
    return bare(schema.unwrap() as z.ZodType, value);
  if (!(schema instanceof z.ZodUnion)) return schema;
  const option = (schema.options as readonly z.ZodType[]).find((own) => isOption(own, value));
  return option && bare(option, value);
}

/** Kinds are told by their names, for the whole of a value may be long. */
function isOption(schema: z.ZodType, value: unknown): boolean {
  if (!(schema instanceof z.ZodObject)) return schema.safeParse(value).success;
  return Object.entries(schema.shape).every(
    ([key, own]) => !(own instanceof z.ZodLiteral) || (isNode(value) && own.values.has(childOf(value, key) as never)),
  );
}

/** The nearest to a value that a schema takes: whole where it counts, and within its bounds; undefined where there is none. */
export function fitted(schema: z.ZodType, value: KeyValue): KeyValue | undefined {
  const near =
    schema instanceof z.ZodNumber && typeof value === 'number'
      ? Math.min(Math.max(schema.isInt ? Math.round(value) : value, schema.minValue ?? -1e9), schema.maxValue ?? 1e9)
      : value;
  return schema.safeParse(near).success ? near : undefined;
}
