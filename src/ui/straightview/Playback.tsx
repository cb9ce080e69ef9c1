'use client';

import ChevronLeftRounded from '@mui/icons-material/ChevronLeftRounded';
import ChevronRightRounded from '@mui/icons-material/ChevronRightRounded';
import PauseRounded from '@mui/icons-material/PauseRounded';
import PlayArrowRounded from '@mui/icons-material/PlayArrowRounded';
import TimerOutlined from '@mui/icons-material/TimerOutlined';
import { Box, IconButton, Slider, Tooltip, Typography } from '@mui/material';
import { useEffect, useState, type ReactNode } from 'react';
import { frameBeside, momentAfter } from '../../core/motion/clock';
import { playedOf } from '../../core/motion/time-spec';
import { seconds } from '../format';
import { useApp, useProject, useSession, useSet } from '../state/app-context';
import { TimeMenu } from './TimeMenu';

const CALM =
  typeof window === 'undefined' || !window.matchMedia
    ? { matches: false }
    : window.matchMedia('(prefers-reduced-motion: reduce)');

/** Play, pause, step and scrub through the time in which the project moves. */
export function Playback() {
  const { session } = useApp();
  const set = useSet();
  const spec = useProject((s) => s.project.time);
  const isEmpty = useProject((s) => s.project.runs.length === 0);
  const length = spec.seconds;
  const time = useSession((s) => s.time);
  const isPlaying = useSession((s) => s.isPlaying);
  const [anchor, setAnchor] = useState<HTMLElement>();

  useEffect(() => {
    if (!isPlaying) return;
    let frame = 0;
    let before = performance.now();
    let moment = session.getState().time ?? 0;
    const tick = (now: number) => {
      // Who asks for less motion sees it once.
      const loops = spec.loops && !CALM.matches;
      const next = momentAfter(moment, (now - before) / 1000, { ...spec, loops });
      before = now;
      if (next === undefined) return session.getState().set({ time: undefined, isPlaying: false });
      moment = next;
      // What is shown are frames: those that were worked out once are kept, and others are left out where there is no time for them.
      session.getState().set({ time: frameBeside(next, 0, spec) });
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [isPlaying, spec, session]);

  if (isEmpty) return null;
  const go = (to: number) => set({ isPlaying: false, time: to >= length ? undefined : to });
  const button = (label: string, icon: ReactNode, act: (target: HTMLElement) => void, tip = label) => (
    <Tooltip title={tip}>
      <IconButton aria-label={label} size="small" onClick={(event) => act(event.currentTarget)}>
        {icon}
      </IconButton>
    </Tooltip>
  );
  const label = isPlaying ? 'Pause' : 'Play';
  const icon = { fontSize: 20 } as const;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.5, width: 430 }}>
      {button('A frame back', <ChevronLeftRounded sx={icon} />, () => go(frameBeside(time ?? length, -1, spec)))}
      {button(
        label,
        isPlaying ? <PauseRounded sx={icon} /> : <PlayArrowRounded sx={icon} />,
        () => set(isPlaying ? { isPlaying: false } : { isPlaying: true, time: time ?? playedOf(spec).from }),
        `${label} (Space)`,
      )}
      {button('A frame on', <ChevronRightRounded sx={icon} />, () => go(frameBeside(time ?? length, 1, spec)))}
      <Slider
        size="small"
        aria-label="Time"
        min={0}
        max={length}
        step={1 / spec.framesPerSecond}
        marks={spec.markers.map(({ at }) => ({ value: at }))}
        value={time ?? length}
        getAriaValueText={seconds}
        onChange={(_, value) => go(value)}
        sx={{ mx: 2 }}
      />
      <Typography variant="caption" color="text.secondary" sx={{ width: 84, flex: 'none', whiteSpace: 'nowrap' }}>
        {seconds(time ?? length)} of {seconds(length)}
      </Typography>
      {button(
        'Time settings',
        <TimerOutlined sx={{ fontSize: 18 }} />,
        setAnchor,
        'How long, how many frames, and whether it loops',
      )}
      {anchor && <TimeMenu anchor={anchor} onClose={() => setAnchor(undefined)} />}
    </Box>
  );
}
