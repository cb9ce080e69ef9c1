import { toPlace, toStation } from '../../core/shape/lane-spec';
import { laneOf, putLaneKey, type LanePick } from '../../project/commands/lanes';
import type { Run } from '../../project/schema';
import { useApp, useEdit, useProject, useSession } from '../state/app-context';
import type { CourseView } from '../state/results-store';
import { ownValue } from '../straightview/lane-values';
import { movedValue } from '../straightview/use-lane-drag';
import { useTotals, type TotalAt } from '../straightview/use-totals';

export interface RingState {
  readonly station: number;
  readonly totalAt: TotalAt;
  /** Sets a key there with which all comes to a value. */
  put(pick: LanePick, wanted: number): void;
}

/** Where the ring lies: at the one chosen key, or where it was put; undefined = there is none. */
export function useRing(run: Run, result: CourseView): RingState | undefined {
  const { session } = useApp();
  const edit = useEdit();
  const tool = useSession((s) => s.tool);
  const asked = useSession((s) => s.ring);
  const laneKeys = useSession((s) => s.laneKeys);
  const path = useProject((s) => s.project.paths.find(({ id }) => id === run.path));
  const totalAt = useTotals(run, path, result.path, result.layout.reach);
  const { reach } = result.layout;
  const [key] = laneKeys;
  const lane = key && laneOf(run, key.lane);
  const atKey = lane && laneKeys.length === 1 ? toStation(lane, key.station, reach) : undefined;
  const station = atKey ?? (tool === 'ring' ? (asked ?? (reach.from + reach.to) / 2) : undefined);
  if (station === undefined) return undefined;
  return {
    station,
    totalAt,
    put(pick, wanted) {
      const own = laneOf(run, pick);
      // A key that is chosen is meant, though a station in metres may round beside it.
      const place = key && lane && key.lane === pick ? key.station : toPlace(own ?? { along: 'reach' }, station, reach);
      const total = totalAt(pick, station);
      const now = ownValue(run, pick, reach, station);
      edit((project) =>
        putLaneKey(project, run.id, pick, { station: place, value: movedValue(pick, now, total, wanted) }),
      );
      session.getState().set({ laneKeys: [{ lane: pick, station: place }], ring: station });
    },
  };
}
