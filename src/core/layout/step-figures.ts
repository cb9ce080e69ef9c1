import type { Vec3 } from '../math/vec3';
import { frameOn } from '../shape/frame-on';
import type { Shape } from '../shape/shape';
import type { FitSpec } from './fit-registry';
import { heldHeight } from './held-height';
import type { Layout } from './layout';

/** What a flight of level pieces comes to: metres, radians. */
export interface StepFigures {
  readonly risers: number;
  readonly riser: number;
  /** From one front to the next, as seen from above. */
  readonly going: number;
  /** Of the line over the fronts. */
  readonly slope: number;
  /** Twice the riser and the going (Blondel, Cours d'architecture, 1675-83, from memory). */
  readonly stride: number;
  /** Least clear height over a piece to what of the same flight lies above it, less `thickness`; absent = nothing does. */
  readonly headroom?: number;
  /** Places on the path at which pieces begin, as high as those are: the line over them is that of the fronts. */
  readonly fronts: readonly Vec3[];
}

/** The stride that is comfortable, metres, from country to country (Blondel, and DIN 18065; from memory). */
export const USUAL_STRIDE = [0.6, 0.65] as const;

/** Metres over the line of the fronts that are to be clear: 6 ft 8 in (IRC R311.7.2, from memory). */
export const CLEAR_HEADROOM = 2.032;

/** Undefined where pieces are not level, or there are no two of different height. `wide` = across the path, `thick` = of a piece, metres. */
export function stepFigures(
  { placements }: Layout,
  shape: Shape,
  fit: FitSpec,
  { wide, thick }: { readonly wide: number; readonly thick: number },
): StepFigures | undefined {
  if (fit.kind !== 'level' || fit.byLeg || placements.length < 2) return undefined;
  const steps = placements.map((place) => {
    const [x, , z] = frameOn(shape, place.station);
    return { x, z, y: heldHeight(shape, { ...place, scale: 1 }, fit) };
  });
  const [first, last] = [steps[0], steps[steps.length - 1]];
  const rises = steps.slice(1).map(({ y }, i) => Math.abs(y - steps[i].y));
  const climbing = rises.filter((rise) => rise > 1e-6).length;
  if (climbing === 0) return undefined;
  const riser = Math.abs(last.y - first.y) / climbing;
  const going =
    placements.reduce((sum, { stretch, natural, gap }) => sum + stretch * natural + gap, 0) / placements.length;
  const above = steps.flatMap(({ x, y, z }) =>
    steps.flatMap((other) =>
      other.y - y > 0.5 && Math.hypot(other.x - x, other.z - z) < wide / 2 ? [other.y - y - thick] : [],
    ),
  );
  return {
    risers: climbing + 1,
    ...{ riser, going, slope: Math.atan2(riser, going), stride: 2 * riser + going },
    ...(above.length > 0 && { headroom: Math.min(...above) }),
    fronts: steps.map(({ x, y, z }): Vec3 => [x, y, z]),
  };
}
