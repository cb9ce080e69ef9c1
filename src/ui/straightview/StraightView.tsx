'use client';

import { Box, Typography } from '@mui/material';
import { scaleLinear } from 'd3-scale';
import { useRef, type PointerEvent } from 'react';
import { FindingsStrip } from '../findings/FindingsStrip';
import { useCourse, useCourseView, useRun, useSession, useSet } from '../state/app-context';
import { KeyFields } from '../timeview/KeyFields';
import { TimeView } from '../timeview/TimeView';
import { AxisTicks } from './AxisTicks';
import { AlongChoice } from './AlongChoice';
import { FindingMarks } from './FindingMarks';
import { Lane } from './Lane';
import { PiecesLane } from './PiecesLane';
import { Playback } from './Playback';
import { ReachHandles } from './ReachHandles';
import { RollLane } from './RollLane';
import { StationHandles } from './StationHandles';
import { StationCursor } from './StationCursor';
import { StretchLane } from './StretchLane';
import { TightnessLane } from './TightnessLane';
import { useSize } from './use-size';

const LANE_LEFT = 92;
const RIGHT = 24;
/** Pixels that the view has unless it is drawn taller, and those of its heading. */
export const HEIGHT = 208;
export const HEADING = 34;

/** The run unrolled along its length: x is the station in metres. */
export function StraightView() {
  const run = useRun();
  const course = useCourse();
  const result = useCourseView();
  const set = useSet();
  const isOverTime = useSession((s) => s.along === 'time');
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(box);
  // Drawn taller, the tightness gets the room.
  const more = Math.max(height - HEIGHT, 0);
  const length = result?.path.length ?? 1;
  const x = scaleLinear([0, length], [LANE_LEFT, Math.max(width - RIGHT, LANE_LEFT + 10)]);
  const onPointerMove = (event: PointerEvent) => {
    const at = x.invert(event.clientX - box.current!.getBoundingClientRect().left);
    set({ station: result && !isOverTime && at >= 0 && at <= length ? at : undefined });
  };
  return (
    <Box
      component="section"
      aria-label="Straight view"
      sx={{ display: 'flex', height: '100%', overflow: 'hidden', bgcolor: 'background.paper' }}
    >
      <Box
        ref={box}
        onPointerMove={onPointerMove}
        onPointerLeave={() => set({ station: undefined })}
        sx={{ position: 'relative', flex: 1, minWidth: 0, height: '100%', overflow: 'hidden' }}
      >
        <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', height: HEADING, px: 3.5 }}>
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 3 }}>
            <Typography component="h2" variant="h3">
              Straight view
            </Typography>
            {run && <AlongChoice />}
          </Box>
          <Playback />
        </Box>
        {isOverTime && run && width > 0 && <TimeView width={width} height={Math.max(height - HEADING, 0)} />}
        {!isOverTime && run && course && result && width > 0 && height > HEADING + 20 && (
          <svg
            role="group"
            aria-label={`${run.name} unrolled`}
            width={width}
            height={170 + more}
            style={{ display: 'block' }}
          >
            <AxisTicks x={x} width={x(length) - x(0)} bottom={160 + more} unit="m" />
            <Lane top={18} height={30} label="Pieces">
              <PiecesLane x={x} layout={result.layout} run={run} course={course} />
            </Lane>
            <Lane top={52} height={44 + more} label="Tightness">
              <TightnessLane x={x} path={result.path} height={44 + more} />
            </Lane>
            <Lane top={100 + more} height={26} label="Roll">
              <RollLane x={x} shape={run.shape} reach={result.layout.reach} />
            </Lane>
            <Lane top={130 + more} height={26} label="Stretch">
              <StretchLane x={x} layout={result.layout} />
            </Lane>
            <ReachHandles x={x} run={run} length={length} reach={result.layout.reach} />
            <StationHandles x={x} run={run} course={course} length={length} />
            <FindingMarks x={x} />
            <StationCursor x={x} length={length} bottom={156 + more} />
          </svg>
        )}
      </Box>
      {height > HEADING + 20 && (isOverTime ? <KeyFields /> : <FindingsStrip />)}
    </Box>
  );
}
