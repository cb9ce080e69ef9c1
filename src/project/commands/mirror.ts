import { middleOf, transformPoints } from '../../core/curve/edit/transform-points';
import type { CurveSpec } from '../../core/curve/registry';
import type { Vec3 } from '../../core/math/vec3';
import type { Path, Project } from '../schema';
import { changeCurve } from './paths';
import { addAlike, changeRun } from './runs';
import { addSegment } from './segments';

export type MirrorAxis = 'x' | 'z';

const ACROSS: Readonly<Record<MirrorAxis, Vec3>> = { x: [-1, 1, 1], z: [1, 1, -1] };

const all = ({ points }: CurveSpec): number[] => points.map((_, i) => i);

/** A path mirrored where it is: left for right along an axis, about its middle. */
export const mirrorPath = (project: Project, id: string, axis: MirrorAxis): Project =>
  changeCurve(project, id, (curve) =>
    transformPoints(curve, all(curve), { kind: 'scale', about: middleOf(curve, all(curve)), by: ACROSS[axis] }),
  );

/** A second run on the other side of the scene's middle, its path and its segment mirrored. */
export function addMirrored(
  project: Project,
  id: string,
  axis: MirrorAxis,
  ids: { readonly run: string; readonly path: string; readonly segment: string },
): Project {
  const run = project.runs.find((r) => r.id === id);
  const path = run && project.paths.find((p) => p.id === run.path);
  const segment = run && project.segments.find((s) => s.id === run.segment);
  if (!run || !path || !segment) return project;
  const curve = path.curve as CurveSpec;
  const mirrored = transformPoints(curve, all(curve), { kind: 'scale', about: [0, 0, 0], by: ACROSS[axis] });
  const { prepare } = segment;
  const own = {
    ...segment,
    id: ids.segment,
    prepare: {
      ...prepare,
      mirrored: !prepare.mirrored,
      offsetSide: prepare.offsetSide === 0 ? 0 : -prepare.offsetSide,
    },
  };
  const { bending, laying } = run;
  const up = bending.frames.up.map((v, c) => (v === 0 ? 0 : v * ACROSS[axis][c]!)) as unknown as Vec3;
  const added = addAlike(addSegment(project, own), id, ids.run, {
    id: ids.path,
    name: `${path.name.slice(0, 180)}, mirrored`,
    curve: mirrored as Path['curve'],
  });
  return changeRun(added, ids.run, {
    segment: ids.segment,
    laying,
    bending: {
      ...bending,
      roll: bending.roll === 0 ? 0 : -bending.roll,
      turns: bending.turns === 0 ? 0 : -bending.turns,
      frames: { ...bending.frames, up },
    },
  });
}
