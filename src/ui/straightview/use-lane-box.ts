import type { ScaleLinear } from 'd3-scale';
import { useState, type PointerEvent } from 'react';
import type { LanePick } from '../../project/commands/lanes';
import { useApp } from '../state/app-context';
import type { LaidKey } from './lane-values';

/** A press that moves by fewer pixels is a click. */
const CLICK = 4;

/** A box drawn over a lane: chooses the keys in it, with Shift beside those that are chosen; a click lets go of all. */
export function useLaneBox(pick: LanePick, keys: readonly LaidKey[], x: ScaleLinear<number, number>) {
  const { session } = useApp();
  const [box, setBox] = useState<readonly [number, number]>();
  const pixels = (event: PointerEvent<Element>) =>
    event.clientX - event.currentTarget.closest('svg')!.getBoundingClientRect().left;
  const [a, b] = (box ?? [0, 0]).toSorted((p, q) => p - q) as [number, number];
  return {
    start(event: PointerEvent<Element>) {
      if (event.button !== 0) return;
      event.currentTarget.closest('[data-lane]')!.setPointerCapture(event.pointerId);
      if (!event.shiftKey) session.getState().set({ laneKeys: [] });
      setBox([pixels(event), pixels(event)]);
    },
    move: (event: PointerEvent<Element>) => box && setBox([box[0], pixels(event)]),
    end() {
      setBox(undefined);
      if (!box || b - a < CLICK) return;
      const { laneKeys, set } = session.getState();
      const inside = keys.filter(({ station }) => x(station) >= a && x(station) <= b);
      set({ laneKeys: [...laneKeys, ...inside.map(({ key }) => ({ lane: pick, station: key.station }))] });
    },
    shown: box && { x: a, width: b - a },
  };
}
