import { growthOf, type GrowthSpec } from '../../core/motion/growth-registry';
import { quantityText } from '../fields/quantity';
import { plural } from '../format';
import type { CourseView } from '../state/results-store';

/** What of a run a growth goes by. */
export const growingOf = ({ layout: { placements, reach } }: CourseView) => ({
  count: placements.length,
  length: reach.to - reach.from,
});

/** What a growth would come to: how fast it goes, or how soon piece follows on piece. */
export function growthOutcome(growth: GrowthSpec, result: CourseView | undefined): string {
  const kind = growthOf(growth);
  const seconds = kind.seconds(growth);
  if (seconds === 0 || !result) return '';
  const laid = growingOf(result);
  const stagger = kind.stagger?.(growth, laid);
  if (!stagger) return `${(laid.length / seconds).toFixed(2)} m/s`;
  const { unit, value } = stagger;
  const rounded = Number(value.toPrecision(2));
  const said = unit === 's' ? `${quantityText(rounded, 'time')} apart` : quantityText(rounded, 'speed');
  return laid.count < 2 ? plural(laid.count, 'piece') : `${plural(laid.count, 'piece')}, ${said}`;
}
