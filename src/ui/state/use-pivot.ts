import { middleOf } from '../../core/edit/transform-points';
import type { CurveSpec } from '../../core/curve/registry';
import type { Vec3 } from '../../core/math/vec3';
import { useChosen, useSession } from './app-context';

/** What the chosen points of a path are turned and scaled about, and where that is. */
export function usePivot(curve: CurveSpec) {
  const chosen = useChosen();
  const pivot = useSession((s) => s.pivot);
  const own = useSession((s) => s.pivotPlace);
  const [ruler] = useSession((s) => s.ruler);
  const middle = middleOf(curve, chosen);
  const places: Record<typeof pivot, Vec3> = {
    middle,
    first: curve.points[chosen[0]]?.position ?? middle,
    origin: [0, 0, 0],
    ruler: ruler ?? middle,
    own,
  };
  return { pivot: pivot === 'ruler' && !ruler ? ('middle' as const) : pivot, place: places[pivot], middle };
}
