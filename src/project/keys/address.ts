import { z } from 'zod';

/** Where a value stands in a project: names of fields, ids, parts, and places in lists that have none. `['runs', 'rope', 'shape', 'roll']` */
export const addressSchema = z.array(z.string().min(1).max(200)).min(3).max(12).readonly();

export type Address = z.infer<typeof addressSchema>;

const ROOTS = ['runs', 'paths', 'segments', 'guides'];

/** Of a motion only how far it has slid can have keys: the rest says how time is told. */
export const isKeyable = ([root, , step, field]: Address): boolean =>
  ROOTS.includes(root) && (step !== 'motion' || field === 'shift');

export const isSameAddress = (a: Address, b: Address): boolean => addressKey(a) === addressKey(b);

export const addressKey = (address: Address): string => address.join('\n');

type Node = Readonly<Record<string, unknown>> | readonly unknown[];

export const isNode = (value: unknown): value is Node => typeof value === 'object' && value !== null;

/** What a thing in a list is known by, wherever it stands there: its id, or the part that it is of. */
export function knownBy(value: unknown): string | undefined {
  const { id, part } = isNode(value) ? (value as Readonly<Record<string, unknown>>) : {};
  return typeof id === 'string' ? id : typeof part === 'string' ? part : undefined;
}

/** What stands at one step down; undefined where nothing does. */
export function childOf(node: unknown, step: string): unknown {
  if (!isNode(node)) return undefined;
  // Its own fields alone: every object has a `toString`.
  if (!Array.isArray(node))
    return Object.hasOwn(node, step) ? (node as Readonly<Record<string, unknown>>)[step] : undefined;
  return knownBy(node[0]) === undefined ? node[Number(step)] : node.find((child) => knownBy(child) === step);
}

/** What stands at an address; undefined where nothing does. */
export const nodeAt = (project: unknown, address: readonly string[]): unknown => address.reduce(childOf, project);

/** The project with another value at an address; what lies beside the way there is the very same. */
export const putAt = <P>(project: P, address: Address, value: unknown): P => put(project, address, value) as P;

function put(node: unknown, [step, ...rest]: readonly string[], value: unknown): unknown {
  const old = childOf(node, step);
  const made = rest.length === 0 ? value : put(old, rest, value);
  if (made === old || !isNode(node)) return node;
  if (!Array.isArray(node)) return { ...node, [step]: made };
  const at = node.indexOf(old);
  return at < 0 ? node : node.with(at, made);
}
