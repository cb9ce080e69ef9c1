'use client';

import { Box, Typography } from '@mui/material';
import { useRef, type PointerEvent } from 'react';
import { useCourse, useCourseView, useRun, useSession, useSet } from '../state/app-context';
import { KeyFields } from '../timeview/KeyFields';
import { TimeView } from '../timeview/TimeView';
import { AlongChoice } from './AlongChoice';
import { BesideLanes } from './BesideLanes';
import { Playback } from './Playback';
import { RunLanes } from './RunLanes';
import { useSize } from './use-size';

/** Pixels that the view has unless it is drawn taller, and those of its heading. */
export const HEIGHT = 244;
export const HEADING = 34;

/** The run unrolled along its length, or what changes of it over the time; beside it the chosen key, or findings. */
export function StraightView() {
  const run = useRun();
  const course = useCourse();
  const result = useCourseView();
  const set = useSet();
  const isOverTime = useSession((s) => s.along === 'time');
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(box);
  const isOpen = height > HEADING + 20;
  return (
    <Box
      component="section"
      aria-label="Straight view"
      sx={{ display: 'flex', height: '100%', overflow: 'hidden', bgcolor: 'background.paper' }}
    >
      <Box
        ref={box}
        onPointerLeave={(event: PointerEvent) => event.buttons === 0 && set({ station: undefined })}
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
        {!isOverTime && run && course && result && width > 0 && isOpen && (
          <RunLanes {...{ run, course, result, width }} height={height - HEADING} />
        )}
      </Box>
      {isOpen && (isOverTime ? <KeyFields /> : <BesideLanes result={result} />)}
    </Box>
  );
}
