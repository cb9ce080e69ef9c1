import type { StiffStretch } from '../curve/stiffen-curve';
import type { PreparedSegment } from '../segment/prepared-segment';
import { stiffPlaces } from '../segment/stiff-zones';
import type { CourseParts } from './course-parts';
import { fitOf, type FitSpec } from './fit-registry';
import type { Placement } from './placement';

/** More of them are left as they are: each is carried on the tangent in its middle. */
const MOST = 400;

/** What lies at a placement: one of the course's segments, or a part of the first one where that is cut. */
function partAt(
  { kind, body }: Placement,
  { segment, others, head, tail, joint }: CourseParts<PreparedSegment>,
): PreparedSegment | undefined {
  if (kind === 'body') return body > 0 ? others[body - 1] : (segment.cut?.body ?? segment);
  if (kind === 'head') return head ?? segment.cut?.head;
  return kind === 'tail' ? (tail ?? segment.cut?.tail) : joint;
}

/** Where on the path the stiff zones of pieces that bend lie, metres. */
export function stiffStretches(
  placements: readonly Placement[],
  parts: CourseParts<PreparedSegment>,
  fit: FitSpec,
): readonly StiffStretch[] {
  if (!fitOf(fit).follows) return [];
  const stretches: StiffStretch[] = [];
  for (const placement of placements) {
    const { station, factor, hidden } = placement;
    const part = partAt(placement, parts);
    if (!part || hidden || part.stiff.length === 0) continue;
    if (stretches.length + part.stiff.length > MOST) return [];
    const place = stiffPlaces(part, factor);
    for (const { from, to } of part.stiff)
      stretches.push({ from: station + place(from).along, to: station + place(to).along });
  }
  return stretches;
}
