'use client';

import { Box } from '@mui/material';
import { scaleLinear } from 'd3-scale';
import { useId, useMemo, useState, type PointerEvent, type ReactNode } from 'react';
import { useStore } from 'zustand';
import { areGaugesOne } from '../../project/commands/lanes';
import type { Course, Run } from '../../project/schema';
import { useApp, useProject, useSet } from '../state/app-context';
import type { ShownLane } from '../state/lanes-store';
import type { CourseView } from '../state/results-store';
import { AxisTicks } from './AxisTicks';
import { FindingMarks } from './FindingMarks';
import { HeadTailGrips } from './HeadTailGrips';
import { LaneMenu } from './LaneMenu';
import { LaneSlot, MARGIN } from './LaneSlot';
import { isKeyed, type LaneKindName } from './lane-kinds';
import { Overview } from './Overview';
import { PastEnd } from './PastEnd';
import { PiecesLane } from './PiecesLane';
import { ReachHandles } from './ReachHandles';
import { StationCursor } from './StationCursor';
import { StationHandles } from './StationHandles';
import { StiffBars } from './StiffBars';
import { StretchLane } from './StretchLane';
import { TightnessLane } from './TightnessLane';
import { TwistLane } from './TwistLane';
import { useTotals } from './use-totals';
import { useZoom } from './use-zoom';
import { ValueLane } from './ValueLane';

const LEFT = 104;
/** Pixels of the figures along the top, and of the bar below them while a part is shown. */
const AXIS = 18;
const BAR = 12;
const FOOT = 16;

export interface RunLanesProps {
  readonly run: Run;
  readonly course: Course;
  readonly result: CourseView;
  readonly width: number;
  readonly height: number;
}

/** The lanes that are shown of a run: both gauges apart where they are not the same. */
const shownFor = (lanes: readonly ShownLane[], run: Run): readonly ShownLane[] =>
  lanes
    .flatMap((lane) => {
      const isBoth = lane.kind === 'gauge' && !areGaugesOne(run);
      return isBoth ? (['gaugeUp', 'gaugeSide'] as const).map((kind) => ({ ...lane, kind })) : [lane];
    })
    .filter(({ kind }, i, all) => all.findIndex((lane) => lane.kind === kind) === i);

/** A run along its length, lane under lane; x is the station in metres. */
export function RunLanes({ run, course, result, width, height }: RunLanesProps) {
  const { lanes } = useApp();
  const asShown = useStore(lanes, (s) => s.shown);
  const shown = useMemo(() => shownFor(asShown, run), [asShown, run]);
  const set = useSet();
  const clip = useId();
  const path = useProject((s) => s.project.paths.find(({ id }) => id === run.path));
  const [menu, setMenu] = useState<{ kind: LaneKindName; anchor: Element }>();
  const { layout, path: view } = result;
  const { length } = view;
  const right = Math.max(width - MARGIN, LEFT + 10);
  // Drawn on to a guide, or run straight on, it goes beyond its path.
  const [first, last] = [layout.placements[0], layout.placements[layout.placements.length - 1]];
  const from = Math.min(0, layout.reach.from, first?.station ?? 0);
  const isOn = run.bending.pastEnd === 'straightOn' && !view.closed;
  const to = Math.max(length, layout.reach.to, isOn && last ? last.station + last.length : 0);
  const whole = useMemo(() => scaleLinear([from, to], [LEFT, right]), [from, to, right]);
  const { x, ref, isZoomed, show, onKeyDown } = useZoom(whole, run.id);
  const totalAt = useTotals(run, path, view, layout.reach);
  const top = AXIS + (isZoomed ? BAR : 0);
  const asked = shown.reduce((sum, lane) => sum + lane.height, 0);
  // Drawn taller, the tightness gets the room, or the last lane where it is not shown.
  const spare = Math.max(height - top - asked - FOOT, 0);
  const tall = shown.find(({ kind }) => kind === 'tightness') ?? shown[shown.length - 1];
  const heights = shown.map((lane) => lane.height + (lane === tall ? spare : 0));
  const topOf = (i: number) => heights.slice(0, i).reduce((sum, own) => sum + own, top);
  const placed = shown.map(({ kind }, i) => ({ kind, top: topOf(i), height: heights[i] }));
  const bottom = topOf(shown.length);
  const pieces = placed.find(({ kind }) => kind === 'pieces');
  const onPointerMove = (event: PointerEvent<SVGSVGElement>) => {
    const pixels = event.clientX - event.currentTarget.getBoundingClientRect().left;
    const at = x.invert(pixels);
    set({ station: pixels >= LEFT && pixels <= right && at >= 0 && at <= length ? at : undefined });
  };
  const draw = (kind: LaneKindName, tallness: number): ReactNode => {
    if (isKeyed(kind))
      return <ValueLane {...{ run, length, x, totalAt }} reach={layout.reach} pick={kind} height={tallness} />;
    if (kind === 'pieces') return <PiecesLane {...{ x, layout, run, course }} height={tallness} />;
    if (kind === 'tightness') return <TightnessLane x={x} path={view} height={tallness - 6} />;
    if (kind === 'twist') return <TwistLane x={x} path={view} reach={layout.reach} height={tallness} />;
    return <StretchLane x={x} layout={layout} height={tallness} />;
  };
  return (
    <Box sx={{ height, overflowY: 'auto', overflowX: 'hidden' }}>
      <svg
        ref={ref}
        role="group"
        tabIndex={0}
        aria-label={`${run.name} unrolled`}
        width={width}
        height={Math.max(bottom + FOOT, height - 1)}
        style={{ display: 'block', outline: 'none', touchAction: 'pan-y' }}
        onPointerMove={onPointerMove}
        onKeyDown={onKeyDown}
      >
        <clipPath id={clip}>
          <rect x={LEFT - 22} y={0} width={right - LEFT + 44} height={bottom + FOOT} />
        </clipPath>
        <rect data-pan x={LEFT} width={right - LEFT} height={AXIS} fill="transparent" style={{ cursor: 'grab' }} />
        <g clipPath={`url(#${clip})`} pointerEvents="none">
          <AxisTicks x={x} width={right - LEFT} bottom={bottom} unit="m" />
        </g>
        {isZoomed && (
          <g transform={`translate(0 ${AXIS})`}>
            <Overview whole={whole} shown={x} onShow={show} />
          </g>
        )}
        {placed.map((lane) => (
          <LaneSlot
            key={lane.kind}
            kind={lane.kind}
            top={lane.top}
            height={lane.height}
            room={LEFT}
            width={width}
            onMenu={(anchor) => setMenu({ kind: lane.kind, anchor })}
          >
            {draw(lane.kind, lane.height)}
          </LaneSlot>
        ))}
        <g clipPath={`url(#${clip})`}>
          {pieces && (
            <>
              <ReachHandles {...{ x, run, length }} reach={layout.reach} top={pieces.top} height={pieces.height} />
              <PastEnd {...{ x, run, layout }} isClosed={view.closed} top={pieces.top} height={pieces.height} />
              <HeadTailGrips
                {...{ x, course }}
                placements={layout.placements}
                natural={result.segment.length}
                top={pieces.top}
                height={pieces.height}
              />
              <StiffBars {...{ x, run, length }} top={pieces.top} height={pieces.height} />
              <StationHandles {...{ x, run, course, length }} middle={pieces.top + pieces.height / 2} />
            </>
          )}
          <FindingMarks x={x} />
          <StationCursor x={x} length={length} bottom={bottom} />
        </g>
      </svg>
      {menu && <LaneMenu {...menu} run={run} reach={layout.reach} onClose={() => setMenu(undefined)} />}
    </Box>
  );
}
