import { withKey, withMovedKeys, withoutKeys, type KeyMove } from '../../core/shape/edit-lane';
import type { LaneName } from '../../core/shape/lane';
import { isFactor, type LaneKey, type LaneSpec } from '../../core/shape/lane-spec';
import type { Project, Run } from '../schema';
import { setStep } from './runs';

/** A lane of a run, or both gauges as one. */
export type LanePick = LaneName | 'gauge';

/** A key of a lane: where it lies, as the lane counts. */
export interface LanePlace {
  readonly lane: LanePick;
  readonly station: number;
}

export const namesOf = (pick: LanePick): readonly LaneName[] => (pick === 'gauge' ? ['gaugeUp', 'gaugeSide'] : [pick]);

/** What a run has of a lane; of both gauges that of the first. */
export const laneOf = ({ shape }: Pick<Run, 'shape'>, pick: LanePick): LaneSpec | undefined =>
  shape.lanes?.[namesOf(pick)[0]];

/** Whether both gauges are the same all along. */
export const areGaugesOne = ({ shape }: Pick<Run, 'shape'>): boolean =>
  JSON.stringify(shape.lanes?.gaugeUp) === JSON.stringify(shape.lanes?.gaugeSide);

type Change = (lane: LaneSpec | undefined) => LaneSpec | undefined;

/** Changes a lane of a run; undefined = it has none. */
export function editLane(project: Project, id: string, pick: LanePick, change: Change): Project {
  const run = project.runs.find((own) => own.id === id);
  if (!run) return project;
  const names = namesOf(pick);
  const made = change(laneOf(run, pick));
  const { lanes = {} } = run.shape;
  const kept = Object.entries(lanes).filter(([name, lane]) => lane && !names.includes(name as LaneName));
  const next = Object.fromEntries([...kept, ...(made ? names.map((name) => [name, made] as const) : [])]);
  return setStep(project, id, 'shape', { lanes: Object.keys(next).length > 0 ? next : undefined });
}

export const setLane = (project: Project, id: string, pick: LanePick, lane: LaneSpec | undefined): Project =>
  editLane(project, id, pick, () => lane);

/** A lane as it begins: it goes with the reach, smoothly, and stays as it was at the ends of it, where the key is none of them. */
export function newLane(pick: LanePick, key: LaneKey): LaneSpec {
  const value = isFactor(namesOf(pick)[0]) ? 1 : 0;
  const ends = [0, 1].filter((station) => Math.abs(station - key.station) > AT_END);
  const keys = [...ends.map((station) => ({ station, value })), key].toSorted((a, b) => a.station - b.station);
  return { blend: 'smooth', along: 'reach', keys };
}

/** Of the reach: a key so near to its end is at it. */
const AT_END = 0.005;

export const putLaneKey = (project: Project, id: string, pick: LanePick, key: LaneKey): Project =>
  editLane(project, id, pick, (lane) => (lane ? withKey(lane, key) : newLane(pick, key)));

const picksIn = (places: readonly LanePlace[]): readonly LanePick[] => [...new Set(places.map(({ lane }) => lane))];
const stationsIn = (places: readonly LanePlace[], pick: LanePick): readonly number[] =>
  places.filter(({ lane }) => lane === pick).map(({ station }) => station);

export const deleteLaneKeys = (project: Project, id: string, places: readonly LanePlace[]): Project =>
  picksIn(places).reduce(
    (made, pick) => editLane(made, id, pick, (lane) => lane && withoutKeys(lane, stationsIn(places, pick))),
    project,
  );

/** Moves keys of any lanes; `moveOf` says how those of one of them go. */
export function moveLaneKeys(
  project: Project,
  id: string,
  places: readonly LanePlace[],
  moveOf: (pick: LanePick, lane: LaneSpec) => KeyMove,
): { readonly project: Project; readonly places: readonly LanePlace[] } {
  let made = project;
  const now: LanePlace[] = [];
  for (const pick of picksIn(places)) {
    const lane = laneOf(
      made.runs.find((run) => run.id === id)!,
      pick,
    );
    if (!lane) continue;
    const moved = withMovedKeys(lane, stationsIn(places, pick), moveOf(pick, lane));
    made = setLane(made, id, pick, moved.lane);
    now.push(...moved.places.map((station) => ({ lane: pick, station })));
  }
  return { project: made, places: now };
}
