'use client';

import PauseRounded from '@mui/icons-material/PauseRounded';
import PlayArrowRounded from '@mui/icons-material/PlayArrowRounded';
import { Box, IconButton, Slider, Tooltip, Typography } from '@mui/material';
import { useEffect } from 'react';
import { secondsOf } from '../../core/motion/registry';
import { seconds } from '../format';
import { useApp, useProject, useSession, useSet } from '../state/app-context';

/** Play, pause and scrub through the motion of all runs. */
export function Playback() {
  const { session } = useApp();
  const set = useSet();
  const length = useProject((s) => s.project.runs.reduce((most, { motion }) => Math.max(most, secondsOf(motion)), 0));
  const time = useSession((s) => s.time);
  const isPlaying = useSession((s) => s.isPlaying);

  useEffect(() => {
    if (!isPlaying) return;
    let frame = 0;
    let before = performance.now();
    const tick = (now: number) => {
      const next = (session.getState().time ?? 0) + (now - before) / 1000;
      before = now;
      if (next >= length) return session.getState().set({ time: undefined, isPlaying: false });
      session.getState().set({ time: next });
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [isPlaying, length, session]);

  if (length === 0) return null;
  const label = isPlaying ? 'Pause' : 'Play';
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, width: 320 }}>
      <Tooltip title={`${label} (Space)`}>
        <IconButton
          aria-label={label}
          size="small"
          onClick={() => set(isPlaying ? { isPlaying: false } : { isPlaying: true, time: time ?? 0 })}
        >
          {isPlaying ? <PauseRounded sx={{ fontSize: 20 }} /> : <PlayArrowRounded sx={{ fontSize: 20 }} />}
        </IconButton>
      </Tooltip>
      <Slider
        size="small"
        aria-label="Time"
        min={0}
        max={length}
        step={0.02}
        value={time ?? length}
        getAriaValueText={seconds}
        onChange={(_, value) => set({ isPlaying: false, time: value >= length ? undefined : value })}
      />
      <Typography variant="caption" color="text.secondary" sx={{ width: 84, whiteSpace: 'nowrap' }}>
        {seconds(time ?? length)} of {seconds(length)}
      </Typography>
    </Box>
  );
}
