'use client';

import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { EasingSpec } from '../../core/motion/easing-registry';
import { EasingPicture } from './EasingPicture';

type Curve = Extract<EasingSpec, { kind: 'curve' }>;

const SIDE = 132;
/** Pixels above and below, where a curve goes beyond its ends. */
const ROOM = 44;
const STEP = 0.05;
const HANDLES = [
  { x: 'x1', y: 'y1', from: [0, 0], name: 'First handle' },
  { x: 'x2', y: 'y2', from: [1, 1], name: 'Second handle' },
] as const;

const within = (value: number, least: number, most: number) =>
  Number(Math.min(Math.max(value, least), most).toFixed(3));

/** A pace of one's own: the two handles of its curve, to drag or to move with the arrow keys. */
export function EasingEditor(props: {
  easing: Curve;
  onChange: (easing: Curve) => void;
  onGesture: (is: 'begin' | 'end') => void;
}) {
  const { easing, onChange, onGesture } = props;
  const dragged = useRef<string>(undefined);
  const [px, py] = [(x: number) => x * SIDE, (y: number) => ROOM + (1 - y) * SIDE];
  const put = (handle: (typeof HANDLES)[number], x: number, y: number) =>
    onChange({ ...easing, [handle.x]: within(x, 0, 1), [handle.y]: within(y, -5, 5) });
  const onMove = (event: PointerEvent<SVGElement>, handle: (typeof HANDLES)[number]) => {
    if (dragged.current !== handle.name) return;
    const box = event.currentTarget.ownerSVGElement!.getBoundingClientRect();
    const y = 1 - (event.clientY - box.top - ROOM) / SIDE;
    put(handle, (event.clientX - box.left) / SIDE, Math.min(Math.max(y, -ROOM / SIDE), 1 + ROOM / SIDE));
  };
  const onKeyDown = (event: KeyboardEvent, handle: (typeof HANDLES)[number]) => {
    const [right, up] = { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] }[event.key] ?? [0, 0]; // prettier-ignore
    if (right === 0 && up === 0) return;
    event.preventDefault();
    event.stopPropagation();
    put(handle, easing[handle.x] + right * STEP, easing[handle.y] + up * STEP);
  };
  return (
    <svg width={SIDE} height={SIDE + 2 * ROOM} role="group" aria-label="Own curve" style={{ overflow: 'visible' }}>
      <rect y={ROOM} width={SIDE} height={SIDE} fill="none" stroke="var(--mui-palette-divider)" />
      <g transform={`translate(-2 ${ROOM - 2})`}>
        <EasingPicture easing={easing} width={SIDE + 4} height={SIDE + 4} />
      </g>
      {HANDLES.map((handle) => {
        const [x, y] = [easing[handle.x], easing[handle.y]];
        return (
          <g key={handle.name}>
            <line
              x1={px(handle.from[0])}
              y1={py(handle.from[1])}
              x2={px(x)}
              y2={py(y)}
              stroke="var(--mui-palette-primary-main)"
            />{' '}
            {/* prettier-ignore */}
            <circle
              role="slider"
              tabIndex={0}
              aria-label={handle.name}
              aria-valuenow={x}
              aria-valuetext={`${Math.round(x * 100)} % of the time, ${Math.round(y * 100)} % of the way`}
              cx={px(x)}
              cy={py(y)}
              r={6}
              fill="var(--mui-palette-background-paper)"
              stroke="var(--mui-palette-primary-main)"
              strokeWidth={1.75}
              style={{ cursor: 'move', touchAction: 'none' }}
              onPointerDown={(event) => {
                event.currentTarget.setPointerCapture(event.pointerId);
                dragged.current = handle.name;
                onGesture('begin');
              }}
              onPointerMove={(event) => onMove(event, handle)}
              onPointerUp={() => {
                dragged.current = undefined;
                onGesture('end');
              }}
              onKeyDown={(event) => onKeyDown(event, handle)}
            />
          </g>
        );
      })}
    </svg>
  );
}
