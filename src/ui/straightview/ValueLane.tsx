'use client';

import { scaleLinear, type ScaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { useState, type MouseEvent } from 'react';
import { toPlace } from '../../core/shape/lane-spec';
import type { Reach } from '../../core/shape/reach';
import { laneOf, putLaneKey, type LanePick } from '../../project/commands/lanes';
import type { Run } from '../../project/schema';
import { quantityText } from '../fields/quantity';
import { useEdit, useSession, useSet } from '../state/app-context';
import { LaneKeyDiscs } from './LaneKeyDiscs';
import { laneKind } from './lane-kinds';
import { domainOf, laidKeys, looksAt, ownValue } from './lane-values';
import { useLaneBox } from './use-lane-box';
import { movedValue, useLaneDrag } from './use-lane-drag';
import type { TotalAt } from './use-totals';

export interface ValueLaneProps {
  readonly pick: LanePick;
  readonly run: Run;
  readonly length: number;
  readonly reach: Reach;
  readonly x: ScaleLinear<number, number>;
  readonly height: number;
  readonly totalAt: TotalAt;
}

/** Pixels that the curve keeps from the lane's edges. */
const EDGE = 7;

/** A value along the run: its curve, and keys to drag. A click on the curve, or a double click anywhere, sets one more; a box chooses several. */
export function ValueLane({ pick, run, length, reach, x, height, totalAt }: ValueLaneProps) {
  const edit = useEdit();
  const set = useSet();
  const [held, setHeld] = useState<[number, number]>();
  const { quantity = 'plain', neutral = 0 } = laneKind(pick);
  const [left, right] = x.range() as [number, number];
  const looks = looksAt(x, reach);
  const keys = laidKeys(run, pick, reach);
  const total = (station: number) => totalAt(pick, station);
  // While something is pulled the lane keeps its scale.
  const domain = held ?? domainOf(pick, [...looks, ...keys.map(({ station }) => station)].map(total));
  const y = scaleLinear(domain, [height - EDGE, EDGE]);
  const drag = useLaneDrag({ run, pick, length, reach, x, y });
  const box = useLaneBox(pick, keys, x);
  const stationAt = (event: MouseEvent<Element>) => {
    const at = x.invert(event.clientX - event.currentTarget.closest('svg')!.getBoundingClientRect().left);
    return Math.min(Math.max(at, reach.from), reach.to);
  };
  /** Sets a key with which all comes to a value at a station. */
  const put = (station: number, wanted: number) => {
    const place = toPlace(laneOf(run, pick) ?? { along: 'reach' }, station, reach);
    const value = movedValue(pick, ownValue(run, pick, reach, station), total(station), wanted);
    edit((project) => putLaneKey(project, run.id, pick, { station: place, value }));
    return { station: place, value };
  };
  const pull: typeof drag.start = (event, key, at) => {
    setHeld(domain);
    drag.start(event, key, at);
  };
  const letGo = () => {
    setHeld(undefined);
    drag.end();
    box.end();
  };
  const curve = line<number>(x, (station) => y(total(station)))(looks) ?? '';
  return (
    <g
      data-lane={pick}
      onPointerMove={(event) => {
        drag.move(event);
        box.move(event);
      }}
      onPointerUp={letGo}
      onPointerCancel={letGo}
    >
      <rect
        x={left}
        width={right - left}
        height={height}
        fill="transparent"
        onPointerDown={box.start}
        onDoubleClick={(event) => {
          const top = event.currentTarget.getBoundingClientRect().top;
          const { station } = put(stationAt(event), y.invert(event.clientY - top));
          set({ laneKeys: [{ lane: pick, station }] });
        }}
      />
      <line x1={left} x2={right} y1={y(neutral)} y2={y(neutral)} stroke="var(--mui-palette-divider)" />
      {box.shown && <rect {...box.shown} height={height} fill="var(--mui-palette-primary-main)" fillOpacity={0.14} />}
      <path d={curve} fill="none" stroke="var(--mui-palette-tokens-sky)" strokeWidth={1.5} pointerEvents="none" />
      <path
        d={curve}
        fill="none"
        stroke="transparent"
        strokeWidth={9}
        style={{ cursor: 'copy', touchAction: 'none' }}
        onPointerDown={(event) => {
          if (event.button !== 0) return;
          const station = stationAt(event);
          pull(event, put(station, total(station)), total(station));
        }}
      >
        <title>Click to set a key</title>
      </path>
      <Pointed
        text={(station) => quantityText(total(station), quantity)}
        right={right}
        x={x}
        low={(s) => (y(total(s)) < height / 2 ? height - 3 : 10)}
      />
      <LaneKeyDiscs {...{ pick, run, length, reach, y, x, keys, totalAt }} onPull={pull} />
    </g>
  );
}

/** The value at the station that is pointed at. */
function Pointed(props: {
  readonly x: ScaleLinear<number, number>;
  readonly right: number;
  readonly low: (station: number) => number;
  readonly text: (station: number) => string;
}) {
  const { x, right, low, text } = props;
  const station = useSession((s) => s.station);
  if (station === undefined) return null;
  return (
    <text
      x={Math.min(x(station) + 5, right - 46)}
      y={low(station)}
      fontSize={11}
      fill="var(--mui-palette-text-secondary)"
      pointerEvents="none"
    >
      {text(station)}
    </text>
  );
}
