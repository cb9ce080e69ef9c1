import type { CurveSpec } from '../../core/curve/registry';
import type { MotionSpec } from '../../core/motion/motion-spec';
import type { MakerSpec } from '../../core/segment/registry';
import { jobOf, type JobChange } from '../../core/testing/runs';
import { MADE_PREPARE, newCourse } from '../../project/defaults';
import { emptyProject, type Project } from '../../project/schema';

/** A project of one run with one course, of a made segment. */
export function runProject(
  curve: CurveSpec,
  spec: MakerSpec,
  change: JobChange = {},
  motion: Partial<MotionSpec> = {},
): Project {
  const { course, ...steps } = jobOf(change);
  return {
    ...emptyProject('Nasty'),
    segments: [{ id: 's', name: 'S', source: { from: 'maker', spec }, prepare: MADE_PREPARE, finishes: [] }],
    paths: [{ id: 'p', name: 'P', curve }],
    runs: [
      {
        ...{ id: 'r', name: 'R', visible: true, path: 'p', ...steps },
        motion: { ...steps.motion, ...motion },
        courses: [{ ...newCourse('s'), ...course }],
      },
    ],
  };
}
