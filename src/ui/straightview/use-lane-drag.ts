import type { ScaleLinear } from 'd3-scale';
import { useRef, type PointerEvent } from 'react';
import { isGauge, toPlace, toStation, type LaneKey } from '../../core/shape/lane-spec';
import type { Reach } from '../../core/shape/reach';
import { laneOf, moveLaneKeys, namesOf, type LanePick, type LanePlace } from '../../project/commands/lanes';
import type { Project, Run } from '../../project/schema';
import { beyond } from './beyond';
import { useApp, useEdit, useGesture } from '../state/app-context';
import { laneKind } from './lane-kinds';

export const isSamePlace = (a: LanePlace, b: LanePlace): boolean => a.lane === b.lane && a.station === b.station;

interface Pull {
  readonly clientX: number;
  readonly clientY: number;
  readonly key: LaneKey;
  /** The project as it was, and the keys that are pulled. */
  readonly project: Project;
  readonly chosen: readonly LanePlace[];
  /** What all lanes of the name come to at the key, and pixels to values. */
  readonly total: number;
  readonly y: ScaleLinear<number, number>;
}

export interface LaneDragInput {
  readonly run: Run;
  readonly pick: LanePick;
  readonly length: number;
  readonly reach: Reach;
  readonly x: ScaleLinear<number, number>;
  readonly y: ScaleLinear<number, number>;
}

/** Pulls a key of a lane, and those chosen with it, along the run and up and down. With Shift or Ctrl one more is chosen. */
export function useLaneDrag({ run, pick, length, reach, x, y }: LaneDragInput) {
  const { document, session } = useApp();
  const edit = useEdit();
  const gesture = useGesture();
  const pull = useRef<Pull>(undefined);
  const start = (event: PointerEvent<Element>, key: LaneKey, total: number) => {
    const place = { lane: pick, station: key.station };
    const { laneKeys, set } = session.getState();
    const isChosen = laneKeys.some((own) => isSamePlace(own, place));
    const isMore = event.shiftKey || event.ctrlKey || event.metaKey;
    const more = isChosen ? laneKeys.filter((own) => !isSamePlace(own, place)) : [...laneKeys, place];
    const chosen = isMore ? more : isChosen ? laneKeys : [place];
    set({ laneKeys: chosen });
    if (isMore) return;
    // The lane hears of it to the end: the key itself may come to stand elsewhere among the others.
    event.currentTarget.closest('[data-lane]')!.setPointerCapture(event.pointerId);
    const { clientX, clientY } = event;
    pull.current = { clientX, clientY, key, project: document.getState().project, chosen, total, y };
    gesture.begin();
  };
  const move = (event: PointerEvent<Element>) => {
    if (!pull.current) return;
    const { key, project, chosen, total, y: scale, ...from } = pull.current;
    const [right, down] = [beyond(event.clientX - from.clientX), beyond(event.clientY - from.clientY)];
    const own = project.runs.find(({ id }) => id === run.id)!;
    const at = toStation(laneOf(own, pick) ?? {}, key.station, reach);
    const metres = x.invert(x(at) + right) - at;
    const wanted = scale.invert(scale(total) + down);
    edit((now) => {
      // From what it was: what was pulled over another key and on gives that one back.
      const was = { ...now, runs: now.runs.map((each) => (each.id === run.id ? { ...each, shape: own.shape } : each)) };
      const moved = moveLaneKeys(was, run.id, chosen, (lane, spec) => ({
        by: toPlace(spec, at + metres, reach) - toPlace(spec, at, reach),
        most: toPlace(spec, spec.along === 'reach' ? reach.to : length, reach),
        value: (value) => (down === 0 || !isAlike(lane, pick) ? value : movedValue(lane, value, total, wanted)),
      }));
      session.getState().set({ laneKeys: moved.places });
      return moved.project;
    });
  };
  const end = () => {
    if (pull.current) gesture.end();
    pull.current = undefined;
  };
  return { start, move, end };
}

/** Values of lanes of one quantity go up and down together. */
const isAlike = (a: LanePick, b: LanePick): boolean => laneKind(a).quantity === laneKind(b).quantity;

/** The value with which all lanes come to what is wanted where they came to `total`. */
export function movedValue(pick: LanePick, value: number, total: number, wanted: number): number {
  const least = laneKind(pick).min ?? -1e4;
  const next = isGauge(namesOf(pick)[0]) ? (value * Math.max(wanted, least)) / total : value + wanted - total;
  return Number(Math.min(Math.max(next, least), 1e4).toPrecision(9));
}
