import { wheelGuides, type WheelGuide } from '../core/guides/wheel-guides';
import { reachTowards } from '../core/segment/support';
import type { Guide, Run } from '../project/schema';
import { planCourse, type DerivedRun } from './derive';

/** The wheels that a run goes round, as they stand at `time` seconds (null = finished): those of its pinned course, or of its first. */
export function wheelsOf(derived: DerivedRun, time: number | null): readonly WheelGuide[] {
  const { source, courses, begins } = derived;
  if (source.curve.kind !== 'belt') return [];
  const course = courses.find(({ laid }) => laid.layout.pinned) ?? courses[0];
  const { shape, ready, laid } = course;
  const support = (y: number, z: number) => reachTowards(ready.support, y, z);
  const gone = time === null ? 0 : Math.max(time - begins, 0) * source.steps.motion.speed;
  const pins = laid.layout.pinned ? pinsNow() : new Float64Array();
  return wheelGuides({ curve: source.curve, shape, support, pins, gone });

  function pinsNow(): Float64Array {
    if (gone === 0) return laid.layout.pinned!.pins;
    return Float64Array.from(planCourse(derived, course, time).pieces.flatMap(({ place }) => [...(place.pins ?? [])]));
  }
}

/** The wheels of a run as if each were a guide of the project. */
export const wheelsAsGuides = ({ id, name }: Run, derived: DerivedRun, time: number | null = null): readonly Guide[] =>
  wheelsOf(derived, time).map((wheel, i) => ({
    ...wheel,
    id: `${id} wheel ${i + 1}`,
    name: `${name}, wheel ${i + 1}`,
    visible: true,
    clearance: null,
  }));
