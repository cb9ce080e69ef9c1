'use client';

import { Box, Typography } from '@mui/material';
import { scaleLinear } from 'd3-scale';
import { useRef, type PointerEvent } from 'react';
import { frameBeside } from '../../core/motion/clock';
import { addressKey } from '../../project/keys/address';
import { keysBeside } from '../../project/keys/keys-beside';
import { Lane } from '../straightview/Lane';
import { useProject, useRun, useSession, useSet } from '../state/app-context';
import { KeyLane } from './KeyLane';
import { keyedWords } from './keyed-words';
import { TimeAxis } from './TimeAxis';
import { useKeyClipboard } from './use-key-clipboard';

const LEFT = 196;
const RIGHT = 40;
const LEAST = 34;
const TOP = 18;

/** What changes over the time: a lane for each value of the selected run, its path and segments, and of guides, that has keys. */
export function TimeView({ width, height }: { width: number; height: number }) {
  const project = useProject((s) => s.stored);
  const run = useRun();
  const now = useSession((s) => s.time) ?? project.time.seconds;
  const set = useSet();
  const isScrubbing = useRef(false);
  const clipboard = useKeyClipboard();
  const { time } = project;
  const lanes = run ? keysBeside(project, run) : [];
  const x = scaleLinear([0, time.seconds], [LEFT, Math.max(width - RIGHT, LEFT + 10)]);
  const each = Math.max(LEAST, Math.min(72, Math.floor((height - TOP - 14) / Math.max(lanes.length, 1))));
  const bottom = Math.max(TOP + lanes.length * each, height - 14);
  const scrub = (event: PointerEvent<SVGElement>) => {
    const at = x.invert(event.clientX - event.currentTarget.ownerSVGElement!.getBoundingClientRect().left);
    set({ time: frameBeside(at, 0, time), isPlaying: false });
  };
  return (
    <Box sx={{ height, overflowY: 'auto' }} onKeyDown={clipboard}>
      <svg role="group" aria-label="Keys over the time" width={width} height={bottom + 12} style={{ display: 'block' }}>
        <TimeAxis x={x} time={time} bottom={bottom} />
        <rect
          x={LEFT}
          width={x.range()[1] - LEFT}
          height={TOP}
          fill="transparent"
          style={{ cursor: 'ew-resize', touchAction: 'none' }}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            isScrubbing.current = true;
            scrub(event);
          }}
          onPointerMove={(event) => isScrubbing.current && scrub(event)}
          onPointerUp={() => (isScrubbing.current = false)}
        />
        {lanes.map((keyed, i) => {
          const words = keyedWords(project, keyed.of);
          const isOwn = words.owner === run?.name;
          return (
            <Lane
              key={addressKey(keyed.of)}
              top={TOP + i * each}
              height={each}
              label={words.name}
              {...(!isOwn && { below: words.owner })}
            >
              <KeyLane keyed={keyed} words={words} x={x} height={each} />
            </Lane>
          );
        })}
        <line
          x1={x(now)}
          x2={x(now)}
          y1={12}
          y2={bottom}
          stroke="var(--mui-palette-text-primary)"
          pointerEvents="none"
        />
      </svg>
      {lanes.length === 0 && (
        <Typography
          variant="body2"
          color="text.secondary"
          sx={{ position: 'absolute', top: 80, left: LEFT + 40, maxWidth: 380, p: 2, bgcolor: 'background.paper' }}
        >
          Nothing of this run has keys yet. Go to a time, then press the mark that shows in the margin beside a number
          of the ticket.
        </Typography>
      )}
    </Box>
  );
}
