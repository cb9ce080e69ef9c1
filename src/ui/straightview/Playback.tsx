'use client';

import ChevronLeftRounded from '@mui/icons-material/ChevronLeftRounded';
import ChevronRightRounded from '@mui/icons-material/ChevronRightRounded';
import PauseRounded from '@mui/icons-material/PauseRounded';
import PlayArrowRounded from '@mui/icons-material/PlayArrowRounded';
import TaskAltRounded from '@mui/icons-material/TaskAltRounded';
import TimerOutlined from '@mui/icons-material/TimerOutlined';
import { Box, IconButton, Slider, Tooltip, Typography } from '@mui/material';
import { useEffect, useState, type ReactNode } from 'react';
import { frameBeside, momentAfter } from '../../core/motion/clock';
import { playedOf } from '../../core/motion/time-spec';
import { seconds } from '../format';
import { useApp, useProject, useSession, useSet } from '../state/app-context';
import { playOrStop } from '../state/play';
import { TimeMenu } from './TimeMenu';

const CALM =
  typeof window === 'undefined' || !window.matchMedia
    ? { matches: false }
    : window.matchMedia('(prefers-reduced-motion: reduce)');

/** Play, pause, step and scrub through the time in which the project moves. */
export function Playback() {
  const { document, session } = useApp();
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
      if (next === undefined) return session.getState().set({ time: playedOf(spec).to, isPlaying: false });
      moment = next;
      // What is shown are frames: those that were worked out once are kept, and others are left out where there is no time for them.
      session.getState().set({ time: frameBeside(next, 0, spec) });
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [isPlaying, spec, session]);

  if (isEmpty) return null;
  const go = (to: number) => set({ isPlaying: false, time: to });
  const isFinished = time === undefined;
  const button = (
    label: string,
    icon: ReactNode,
    act: (target: HTMLElement) => void,
    { tip = label, isPressed }: { tip?: string; isPressed?: boolean } = {},
  ) => (
    <Tooltip title={tip}>
      <IconButton
        aria-label={label}
        aria-pressed={isPressed}
        size="small"
        color={isPressed ? 'primary' : 'default'}
        onClick={(event) => act(event.currentTarget)}
      >
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
        () => playOrStop(document, session),
        { tip: `${label} (Space)` },
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
        getAriaValueText={(value) => (isFinished ? 'finished' : seconds(value))}
        onChange={(_, value) => go(value)}
        sx={{ mx: 2 }}
      />
      <Typography variant="caption" color="text.secondary" sx={{ width: 84, flex: 'none', whiteSpace: 'nowrap' }}>
        {isFinished ? 'finished' : `${seconds(time)} of ${seconds(length)}`}
      </Typography>
      {button(
        'The finished state',
        <TaskAltRounded sx={{ fontSize: 18 }} />,
        () => set({ isPlaying: false, time: isFinished ? length : undefined }),
        { tip: 'All grown, nothing travelled: what it is when no time is told', isPressed: isFinished },
      )}
      {button('Time settings', <TimerOutlined sx={{ fontSize: 18 }} />, setAnchor, {
        tip: 'How long, how many frames, and whether it loops',
      })}
      {anchor && <TimeMenu anchor={anchor} onClose={() => setAnchor(undefined)} />}
    </Box>
  );
}
