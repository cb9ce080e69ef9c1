'use client';

import { Box, Typography } from '@mui/material';
import { scaleLinear } from 'd3-scale';
import { useRef, type PointerEvent } from 'react';
import { useRun, useRunResult, useSet } from '../state/app-context';
import { Lane } from './Lane';
import { PiecesLane } from './PiecesLane';
import { Playback } from './Playback';
import { ReachHandles } from './ReachHandles';
import { RollLane } from './RollLane';
import { StationAxis } from './StationAxis';
import { StationCursor } from './StationCursor';
import { StretchLane } from './StretchLane';
import { TightnessLane } from './TightnessLane';
import { useWidth } from './use-width';

export const LANE_LEFT = 92;
const RIGHT = 24;

/** The run unrolled along its length: x is the station in metres. */
export function StraightView() {
  const run = useRun();
  const result = useRunResult(run?.id);
  const set = useSet();
  const box = useRef<HTMLDivElement>(null);
  const width = useWidth(box);
  const length = result?.view.path.length ?? 1;
  const x = scaleLinear([0, length], [LANE_LEFT, Math.max(width - RIGHT, LANE_LEFT + 10)]);
  const onPointerMove = (event: PointerEvent) => {
    const at = x.invert(event.clientX - box.current!.getBoundingClientRect().left);
    set({ station: result && at >= 0 && at <= length ? at : undefined });
  };
  return (
    <Box
      component="section"
      aria-label="Straight view"
      ref={box}
      onPointerMove={onPointerMove}
      onPointerLeave={() => set({ station: undefined })}
      sx={{ position: 'relative', height: '100%', overflow: 'hidden', bgcolor: 'background.paper' }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', height: 34, px: 3.5 }}>
        <Typography component="h2" variant="h3">
          Straight view
        </Typography>
        <Playback />
      </Box>
      {run && result && width > 0 && (
        <svg role="group" aria-label={`${run.name} unrolled`} width={width} height={170} style={{ display: 'block' }}>
          <StationAxis x={x} length={length} />
          <Lane top={18} height={30} label="Pieces">
            <PiecesLane x={x} laying={result.view.laying} />
          </Lane>
          <Lane top={52} height={44} label="Tightness">
            <TightnessLane x={x} path={result.view.path} />
          </Lane>
          <Lane top={100} height={26} label="Roll">
            <RollLane x={x} bending={run.bending} reach={result.view.laying.reach} />
          </Lane>
          <Lane top={130} height={26} label="Stretch">
            <StretchLane x={x} laying={result.view.laying} />
          </Lane>
          <ReachHandles x={x} run={run} length={length} reach={result.view.laying.reach} />
          <StationCursor x={x} length={length} />
        </svg>
      )}
    </Box>
  );
}
