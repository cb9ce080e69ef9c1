import type { z } from 'zod';

/** How a made thing dresses a run: standing at stations, so many metres between two, or strewn over it, so many a square metre; `lies` = what else its fit says. */
export interface Dresses<S extends z.ZodType = z.ZodType> {
  readonly by: { readonly stations: number } | { readonly strewn: number; readonly lies?: object };
  /** Where on the run it sits. */
  readonly sits: 'above' | 'under' | 'round';
  /** Its numbers for a run whose section reaches so far from the path, metres. */
  fitTo?(spec: z.infer<S>, half: number): z.infer<S>;
}
