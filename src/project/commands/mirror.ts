import { middleOf, transformPoints } from '../../core/edit/transform-points';
import type { CurveSpec } from '../../core/curve/registry';
import { mapParts } from '../../core/layout/course-parts';
import type { Vec3 } from '../../core/math/vec3';
import type { LaneSpec } from '../../core/shape/lane-spec';
import type { ShapeSpec } from '../../core/shape/shape-spec';
import { laysSegment, type Course, type Project, type Segment } from '../schema';
import { copyCourse, courseName } from './courses';
import { changeCurve } from './paths';
import { addAlike, changeRun, setCourse } from './runs';
import { addSegment } from './segments';

export type MirrorAxis = 'x' | 'z';

const ACROSS: Readonly<Record<MirrorAxis, Vec3>> = { x: [-1, 1, 1], z: [1, 1, -1] };

const all = ({ points }: CurveSpec): number[] => points.map((_, i) => i);

/** A path mirrored where it is: left for right along an axis, about its middle. */
export const mirrorPath = (project: Project, id: string, axis: MirrorAxis): Project =>
  changeCurve(project, id, (curve) =>
    transformPoints(curve, all(curve), { kind: 'scale', about: middleOf(curve, all(curve)), by: ACROSS[axis] }),
  );

/** A second run on the other side of the scene's middle, its path and its segments mirrored. */
export function addMirrored(
  project: Project,
  id: string,
  axis: MirrorAxis,
  ids: { readonly run: string; readonly path: string; readonly segment: string },
): Project {
  const run = project.runs.find((r) => r.id === id);
  const path = run && project.paths.find((p) => p.id === run.path);
  if (!run || !path) return project;
  const curve = path.curve as CurveSpec;
  const mirrored = transformPoints(curve, all(curve), { kind: 'scale', about: [0, 0, 0], by: ACROSS[axis] });
  const used = project.segments.filter((segment) => laysSegment(run, segment.id));
  const idOf = new Map(used.map((segment, i) => [segment.id, i === 0 ? ids.segment : `${ids.segment}-${i + 1}`]));
  const withSegments = used.reduce(
    (all, segment) => addSegment(all, mirroredSegment(segment, idOf.get(segment.id)!)),
    project,
  );
  const added = addAlike(withSegments, id, ids.run, {
    id: ids.path,
    name: `${path.name.slice(0, 180)}, mirrored`,
    curve: mirrored,
  });
  const courses = run.courses.map((course) => ({
    ...course,
    ...onOtherSide(course),
    ...mapParts(course, (id) => idOf.get(id) ?? id),
  }));
  return changeRun(added, ids.run, { courses, reach: run.reach, shape: mirroredShape(run.shape, axis) });
}

const against = (value: number): number => (value === 0 ? 0 : -value);

function mirroredSegment(segment: Segment, id: string): Segment {
  const { prepare } = segment;
  const across = { mirrored: !prepare.mirrored, offsetSide: against(prepare.offsetSide) };
  return { ...segment, id, prepare: { ...prepare, ...across } };
}

const OTHER_SIDE = { own: 'own', left: 'right', middle: 'middle', right: 'left' } as const;

/** A copy of a course right behind it, left for right about the path; its segments are shared. */
export function copyToOtherSide(project: Project, run: string, course: string, newId: string): Project {
  const own = project.runs.find(({ id }) => id === run)?.courses.find(({ id }) => id === course);
  if (!own) return project;
  const name = `${courseName(project, own).slice(0, 180)}, other side`;
  const other = { ...onOtherSide(own), mirrored: !own.mirrored, name };
  return setCourse(copyCourse(project, run, course, newId), { run, course: newId }, other);
}

/** What of a course turns or lies to a side, the other way. */
function onOtherSide({ align, laying, side }: Course): Pick<Course, 'align' | 'laying' | 'side'> {
  const { everyOther, pieces } = laying;
  return {
    side: against(side),
    align: { ...align, side: OTHER_SIDE[align.side] },
    laying: {
      ...laying,
      everyOther: { ...everyOther, turn: against(everyOther.turn) },
      pieces: pieces.map(({ side: beside, turn, ...edit }) => ({
        ...edit,
        ...(beside !== undefined && { side: against(beside) }),
        ...(turn !== undefined && { turn: against(turn) }),
      })),
    },
  };
}

function mirroredShape(shape: ShapeSpec, axis: MirrorAxis): ShapeSpec {
  const up = shape.frames.up.map((v, c) => (v === 0 ? 0 : v * ACROSS[axis][c])) as unknown as Vec3;
  const { roll, offsetSide, ...lanes } = shape.lanes ?? {};
  const other = (lane: LaneSpec) => ({
    ...lane,
    keys: lane.keys.map(({ station, value }) => ({ station, value: against(value) })),
  });
  return {
    ...shape,
    roll: against(shape.roll),
    turns: against(shape.turns),
    frames: { ...shape.frames, up },
    ...(shape.lanes && {
      lanes: { ...lanes, ...(roll && { roll: other(roll) }), ...(offsetSide && { offsetSide: other(offsetSide) }) },
    }),
  };
}
