import { wheelGuides, type WheelGuide } from '../core/guides/wheel-guides';
import { reachTowards } from '../core/segment/support';
import type { Guide, Run } from '../project/schema';
import type { DerivedRun } from './derive';

/** The wheels that a run goes round: those of its pinned course, or of its first. */
export function wheelsOf({ source, courses }: DerivedRun): readonly WheelGuide[] {
  const { shape, ready, laid } = courses.find((course) => course.laid.layout.pinned) ?? courses[0];
  const support = (y: number, z: number) => reachTowards(ready.support, y, z);
  return wheelGuides({ curve: source.curve, shape, support, pinned: laid.layout.pinned });
}

/** The wheels of a run as if each were a guide of the project. */
export const wheelsAsGuides = ({ id, name }: Run, derived: DerivedRun): readonly Guide[] =>
  wheelsOf(derived).map((wheel, i) => ({
    ...wheel,
    id: `${id} wheel ${i + 1}`,
    name: `${name}, wheel ${i + 1}`,
    visible: true,
    clearance: null,
  }));
