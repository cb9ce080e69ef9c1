import type { StiffStretch } from '../curve/stiffen-curve';
import type { PreparedSegment } from '../segment/prepared-segment';
import { stiffPlaces } from '../segment/stiff-zones';
import { fitOf, type FitSpec } from './fit-registry';
import type { Placement } from './placement';

/** More of them are left as they are: each is carried on the tangent in its middle. */
const MOST = 400;

/** Where on the path the stiff zones of pieces that bend lie, metres: of the body's segment, which may be cut into a head, a body and a tail. */
export function stiffStretches(
  placements: readonly Placement[],
  segment: PreparedSegment,
  fit: FitSpec,
): readonly StiffStretch[] {
  if (!fitOf(fit).follows) return [];
  const stretches: StiffStretch[] = [];
  for (const { kind, body, station, factor, hidden } of placements) {
    const part =
      kind === 'body'
        ? (segment.cut?.body ?? segment)
        : kind === 'head' || kind === 'tail'
          ? segment.cut?.[kind]
          : undefined;
    if (!part || body > 0 || hidden || part.stiff.length === 0) continue;
    if (stretches.length + part.stiff.length > MOST) return [];
    const place = stiffPlaces(part, factor);
    for (const { from, to } of part.stiff)
      stretches.push({ from: station + place(from).along, to: station + place(to).along });
  }
  return stretches;
}
