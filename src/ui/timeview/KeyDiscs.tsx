'use client';

import type { ScaleLinear } from 'd3-scale';
import type { KeyboardEvent, PointerEvent } from 'react';
import type { Key } from '../../core/motion/keys';
import { changeKey, deleteKeys, moveKeys } from '../../project/commands/keys';
import type { Keyed } from '../../project/schema';
import { quantityText } from '../fields/quantity';
import { moment } from '../format';
import { KeyDisc } from '../straightview/KeyDisc';
import { useApp, useEdit, useSession, useSet } from '../state/app-context';
import type { KeyedWords } from './keyed-words';
import { partsOf } from './lane-curve';
import { isSameKey } from './use-key-drag';

interface KeyDiscsProps extends Keyed {
  readonly words: KeyedWords;
  readonly x: ScaleLinear<number, number>;
  readonly y: ScaleLinear<number, number>;
  /** Where the lane's middle is: keys of what is no single number lie there. */
  readonly middle: number;
  readonly onPull: (event: PointerEvent<Element>, key: Key) => void;
}

/** Of a lane's height a press of a key is this share. */
const STEP = 1 / 50;

/** The keys of a lane, to be dragged, or moved and taken away by keyboard. */
export function KeyDiscs({ of, keys, words, x, y, middle, onPull }: KeyDiscsProps) {
  const edit = useEdit();
  const set = useSet();
  const { document } = useApp();
  const chosen = useSession((s) => s.keys);
  const isChosen = (at: number) => chosen.some((place) => isSameKey(place, { of, at }));
  const textOf = ({ value, at }: Key) => {
    const parts = partsOf(value).map((own) => quantityText(own, words.quantity));
    return `${typeof value === 'string' ? value : parts.join(', ')} at ${moment(at)}`;
  };
  const onKeyDown = (event: KeyboardEvent, { at, value }: Key) => {
    const along = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    const up = { ArrowUp: 1, ArrowDown: -1 }[event.key];
    const here = { of, at };
    const own = isChosen(at) ? chosen : [here];
    if (along !== undefined)
      edit((project) => {
        const moved = moveKeys(project, own, along / document.getState().stored.time.framesPerSecond);
        set({ keys: moved.chosen });
        return moved.project;
      });
    else if (up !== undefined && typeof value === 'number') {
      const [least, most] = y.domain();
      edit((project) => changeKey(project, here, { value: value + up * STEP * (most - least) }));
    } else if (event.key === 'Delete' || event.key === 'Backspace') {
      edit((project) => deleteKeys(project, own));
      set({ keys: [] });
    } else if (event.key === 'Enter') set({ keys: [here], time: at, isPlaying: false });
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  return keys.map((key, i) => (
    <KeyDisc
      key={i}
      aria-label={`Key of ${words.name} at ${moment(key.at)}`}
      aria-valuenow={key.at}
      aria-valuetext={textOf(key)}
      cx={x(key.at)}
      cy={typeof key.value === 'number' ? y(key.value) : middle}
      isChosen={isChosen(key.at)}
      onPointerDown={(event) => {
        event.stopPropagation();
        onPull(event, key);
      }}
      onDoubleClick={(event) => event.stopPropagation()}
      onKeyDown={(event) => onKeyDown(event, key)}
    >
      <title>{textOf(key)}</title>
    </KeyDisc>
  ));
}
