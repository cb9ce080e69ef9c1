import type { z } from 'zod';
import type { Mesh } from '../mesh/mesh';

/** A number of a maker as a form shows it. */
export interface MakerField {
  readonly key: string;
  readonly label: string;
  readonly unit: 'm' | 'count';
  /** Smallest sensible change, in the unit. */
  readonly step: number;
}

/** Makes a segment from few numbers; adding one is a file in `makers/` and a line in its list. */
export interface Maker<K extends string = string, S extends z.ZodType = z.ZodType> {
  readonly kind: K;
  readonly label: string;
  readonly hint: string;
  readonly schema: S;
  readonly defaults: z.infer<S>;
  readonly fields: readonly MakerField[];
  /** A mesh along +x from 0 to its length, the path at y = 0, z = 0. */
  make(spec: z.infer<S>): Mesh;
}

export const defineMaker = <K extends string, S extends z.ZodType>(maker: Maker<K, S>): Maker<K, S> => maker;
