import type { z } from 'zod';
import type { Kind } from '../math/kind';

/** How something goes from one value to another over its time; adding one is a file in `easings/` and a line in its list. */
export interface Easing<K extends string = string, S extends z.ZodType = z.ZodType> extends Kind<K, S> {
  /** The share of the way, at a share of the time from 0 to 1. May go beyond 0 and 1 on the way. */
  at(options: z.infer<S>, share: number): number;
}

export const defineEasing = <K extends string, S extends z.ZodType>(easing: Easing<K, S>): Easing<K, S> => easing;
