import type { CurveSpec } from '../curve/registry';
import type { CheckInput } from '../findings/finding';
import type { Finding } from '../findings/registry';
import type { FrameTable } from '../frames/frame-table';
import { bendTolerance } from '../layout/bending-spec';
import { summaryOf } from '../layout/summary';
import type { RunJob } from '../motion/run-spec';
import { halfWidth, type PreparedSegment } from '../segment/prepared-segment';
import { PREPARE_DEFAULTS } from '../segment/segment-spec';
import { buildSupport } from '../segment/support';
import { resolveReach } from '../shape/reach';
import { buildShape } from '../shape/shape';
import { laidRun, unwrap } from './runs';

/** What checks look at for a run of one course. */
export function checkInput(path: CurveSpec, table: FrameTable, segment: PreparedSegment, job: RunJob): CheckInput {
  const reach = resolveReach(job.reach, table.length);
  const { course, bending } = job;
  const shape = buildShape(table, job.shape, { reach, points: path.points });
  const { layout, seam } = unwrap(laidRun({ segment, table, job, points: path.points }).laid);
  return {
    ...{ path, segment, course, bending, layout, seam },
    shape,
    summary: summaryOf(layout),
    prepare: PREPARE_DEFAULTS,
    isBrought: true,
    support: buildSupport(segment.mesh.positions),
    tolerance: bendTolerance(bending.tolerance, halfWidth(segment.box), job.shape.gauge),
    rowTolerance: 0,
    guides: [],
    unmet: [],
  };
}

/** One of the facts of a finding, whatever check it is of. */
export const factOf = (finding: Finding | undefined, name: string): number | undefined =>
  (finding?.facts as Record<string, number> | undefined)?.[name];
