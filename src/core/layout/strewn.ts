import type { Layout } from './layout';
import type { Strewn } from './place';

/** A course that is strewn over another one, in the order of stations; as many of either. */
export interface StrewnLayout {
  readonly layout: Layout;
  readonly strewn: readonly Strewn[];
}
