import { z } from 'zod';

/** Metres along the path: the part that a run covers. */
export interface Reach {
  readonly from: number;
  readonly to: number;
}

const id = z.string().max(64);

/** The reach: stations in metres; null = the path's own start or end. */
export const reachSpecSchema = z.strictObject({
  from: z.number().min(0).nullable(),
  to: z.number().min(0).nullable(),
  /** Ids of guides at whose surface the run begins or ends, cut off there or drawn on as far as that, flush with it. */
  meets: z.strictObject({ start: id.optional(), end: id.optional() }).optional(),
});

export type ReachSpec = z.infer<typeof reachSpecSchema>;

/** The reach of a spec on a path of `pathLength` metres, kept on the path and in order. */
export function resolveReach({ from, to }: Pick<ReachSpec, 'from' | 'to'>, pathLength: number): Reach {
  const start = Math.min(from ?? 0, pathLength);
  return { from: start, to: Math.max(Math.min(to ?? pathLength, pathLength), start) };
}
