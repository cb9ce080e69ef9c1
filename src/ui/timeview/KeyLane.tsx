'use client';

import type { ScaleLinear } from 'd3-scale';
import { frameBeside } from '../../core/motion/clock';
import { keyedValue } from '../../core/motion/keys';
import { setKey } from '../../project/commands/keys';
import type { Keyed } from '../../project/schema';
import { quantityText } from '../fields/quantity';
import { useApp, useEdit, useSet } from '../state/app-context';
import { ColourBand } from './ColourBand';
import { KeyDiscs } from './KeyDiscs';
import type { KeyedWords } from './keyed-words';
import { laneCurve } from './lane-curve';
import { useKeyDrag } from './use-key-drag';

export interface KeyLaneProps {
  readonly keyed: Keyed;
  readonly words: KeyedWords;
  readonly x: ScaleLinear<number, number>;
  readonly height: number;
}

/** Named beside their lines: whole, dashed, dotted. */
const LETTERS = ['x –', 'y - -', 'z ···'];

/** One value over the time: its curve, and its keys to drag. A double click sets one more. */
export function KeyLane({ keyed: { of, keys }, words, x, height }: KeyLaneProps) {
  const edit = useEdit();
  const set = useSet();
  const { document } = useApp();
  const [left, right] = x.range();
  const { y, shapes, samples, least, most } = laneCurve(keys, x, [left, right], height);
  const drag = useKeyDrag(of, x, y);
  const middle = height / 2;
  return (
    <g onPointerMove={drag.move} onPointerUp={drag.end} onPointerCancel={drag.end}>
      <rect
        x={left}
        width={right - left}
        height={height}
        fill="transparent"
        onPointerDown={() => set({ keys: [] })}
        onDoubleClick={(event) => {
          const at = x.invert(event.clientX - event.currentTarget.ownerSVGElement!.getBoundingClientRect().left);
          const when = frameBeside(at, 0, document.getState().stored.time);
          edit((project) => setKey(project, of, when, keyedValue(keys, when)));
          set({ keys: [{ of, at: when }] });
        }}
      />
      <line x1={left} x2={right} y1={height - 0.5} y2={height - 0.5} stroke="var(--mui-palette-divider)" />
      {shapes.length > 0 &&
        (most > least ? [most, least] : [most]).map((value) => (
          <text
            key={value}
            x={left - 8}
            y={y(value)}
            textAnchor="end"
            dominantBaseline="central"
            fontSize={11}
            fill="var(--mui-palette-text-secondary)"
          >
            {quantityText(value, words.quantity)}
          </text>
        ))}
      {shapes.length === 0 && <ColourBand samples={samples} height={height} />}
      <g pointerEvents="none" fill="none">
        {shapes.map(
          (d, c) =>
          <path key={c} d={d} stroke="var(--mui-palette-tokens-sky)" strokeWidth={1.5} strokeDasharray={['', '5 3', '1 3'][c]} />, // prettier-ignore
        )}
      </g>
      {shapes.length > 1 && (
        <text x={right + 5} y={middle + 4} fontSize={11} fill="var(--mui-palette-text-secondary)">
          {shapes.map((_, c) => (
            <tspan key={c} x={right + 5} dy={c === 0 ? -13 : 13}>
              {LETTERS[c]}
            </tspan>
          ))}
        </text>
      )}
      <KeyDiscs of={of} keys={keys} words={words} x={x} y={y} middle={middle} onPull={drag.start} />
    </g>
  );
}
