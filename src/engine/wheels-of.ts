import { wheelGuides, type WheelGuide } from '../core/guides/wheel-guides';
import { reachTowards } from '../core/segment/support';
import { slidAt } from '../core/motion/motion-spec';
import type { Guide, Run } from '../project/schema';
import { planCourse } from './derive';
import type { DerivedCourse, DerivedRun } from './derived';

/** The wheels that a run goes round, as they stand at `time` seconds (null = finished): those of its pinned course, or of its first. */
export function wheelsOf(derived: DerivedRun, time: number | null): readonly WheelGuide[] {
  const { source, courses, begins } = derived;
  if (source.curve.kind !== 'belt') return [];
  const course = courses.find(({ laid }) => laid.layout.pinned) ?? courses[0];
  const { shape, ready } = course;
  const support = (y: number, z: number) => reachTowards(ready.support, y, z);
  const gone = slidAt(source.steps.motion, time === null ? null : time - begins);
  return wheelGuides({
    curve: source.curve,
    shape,
    support,
    gone,
    pins: pinsOf(derived, course, time, gone),
    pinsAtRest: course.laid.layout.pinned?.pins ?? new Float64Array(),
  });
}

/** The places of a course's pins at a time, flat xyz; none where it has none. */
function pinsOf(derived: DerivedRun, course: DerivedCourse, time: number | null, gone: number): Float64Array {
  const { pinned } = course.laid.layout;
  if (!pinned || gone === 0) return pinned?.pins ?? new Float64Array();
  return Float64Array.from(planCourse(derived, course, time).pieces.flatMap(({ place }) => [...(place.pins ?? [])]));
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
