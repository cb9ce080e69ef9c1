import type { ScaleLinear } from 'd3-scale';
import { useRef, type PointerEvent } from 'react';
import { frameBeside } from '../../core/motion/clock';
import type { Key } from '../../core/motion/keys';
import { changeKey, moveKeys, type KeyPlace } from '../../project/commands/keys';
import { isSameAddress } from '../../project/keys/address';
import type { Keyed } from '../../project/schema';
import { beyond } from '../straightview/beyond';
import { useApp, useEdit, useGesture } from '../state/app-context';

export const isSameKey = (a: KeyPlace, b: KeyPlace): boolean => a.at === b.at && isSameAddress(a.of, b.of);

interface Pull {
  readonly x: number;
  readonly y: number;
  readonly key: Key;
  /** All keys as they were, and those that are pulled. */
  readonly keyed: readonly Keyed[];
  readonly chosen: readonly KeyPlace[];
  /** Value per pixel. */
  readonly slope: number | undefined;
}

/** Pulls a key, and those chosen with it, to other frames, and one that is a number up and down too. With Shift or Ctrl one more is chosen. */
export function useKeyDrag(of: KeyPlace['of'], x: ScaleLinear<number, number>, y: ScaleLinear<number, number>) {
  const { document, session } = useApp();
  const edit = useEdit();
  const gesture = useGesture();
  const pull = useRef<Pull>(undefined);
  const start = (event: PointerEvent<Element>, key: Key) => {
    const place = { of, at: key.at };
    const { keys, set } = session.getState();
    const isChosen = keys.some((own) => isSameKey(own, place));
    const isMore = event.shiftKey || event.ctrlKey || event.metaKey;
    const more = isChosen ? keys.filter((own) => !isSameKey(own, place)) : [...keys, place];
    const chosen = isMore ? more : isChosen ? keys : [place];
    set({ keys: chosen });
    if (isMore) return;
    // The lane hears of it to the end: the key itself may come to stand elsewhere among the others.
    event.currentTarget.parentElement!.setPointerCapture(event.pointerId);
    const slope = typeof key.value === 'number' ? y.invert(1) - y.invert(0) : undefined;
    pull.current = { x: event.clientX, y: event.clientY, key, keyed: document.getState().stored.keyed, chosen, slope };
    gesture.begin();
  };
  const move = (event: PointerEvent<Element>) => {
    if (!pull.current) return;
    const { key, keyed, chosen, slope, ...from } = pull.current;
    const [right, down] = [beyond(event.clientX - from.x), beyond(event.clientY - from.y)];
    const wanted = x.invert(x(key.at) + right);
    const by = right === 0 ? 0 : frameBeside(wanted, 0, document.getState().stored.time) - key.at;
    edit((project) => {
      const put =
        down !== 0 && slope !== undefined && chosen.length === 1
          ? changeKey({ ...project, keyed }, { of, at: key.at }, { value: Number(key.value) + down * slope })
          : { ...project, keyed };
      const moved = moveKeys(put, chosen, by);
      session.getState().set({ keys: moved.chosen });
      return moved.project;
    });
  };
  const end = () => {
    if (pull.current) gesture.end();
    pull.current = undefined;
  };
  return { start, move, end };
}
