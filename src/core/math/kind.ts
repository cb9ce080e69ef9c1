import { z } from 'zod';
import type { FormField } from './form-field';

/** What one kind of a list says of itself to those who choose, and which options it has. */
export interface Kind<K extends string = string, S extends z.ZodType = z.ZodType> {
  readonly kind: K;
  readonly label: string;
  readonly hint: string;
  readonly schema: S;
  /** Options as they begin. */
  readonly defaults: z.infer<S>;
  readonly fields: readonly FormField[];
}

type Kinds = Readonly<Record<string, { readonly schema: z.ZodObject }>>;

/** One of a list's kinds, with its options. */
export type SpecOf<L extends Kinds> = z.infer<L[keyof L]['schema']>;

/** The schema of a {@link SpecOf}. A list whose names are not those of its kinds does not compile. */
export const specSchemaOf = <L extends Kinds & { readonly [K in keyof L]: { readonly kind: K } }>(list: L) =>
  z.discriminatedUnion('kind', Object.values(list).map(({ schema }) => schema) as never) as unknown as z.ZodType<
    SpecOf<L>
  >;
