'use client';

import DeleteOutlineRounded from '@mui/icons-material/DeleteOutlineRounded';
import { Box, Button, IconButton, Popover, Typography } from '@mui/material';
import { frameCount, rangeOf } from '../../core/motion/frame-range';
import { TIME_DEFAULTS, MOST_SECONDS, playedOf, type TimeSpec } from '../../core/motion/time-spec';
import { setTime } from '../../project/commands/motion';
import { NumberField } from '../fields/NumberField';
import { SwitchField } from '../fields/SwitchField';
import { plural, seconds } from '../format';
import { useEdit, useProject, useSession, useSet } from '../state/app-context';

/** How long the project moves, in how many frames, what of it is played, and named moments. */
export function TimeMenu({ anchor, onClose }: { anchor: HTMLElement; onClose: () => void }) {
  const edit = useEdit();
  const set = useSet();
  const time = useProject((s) => s.project.time);
  const now = useSession((s) => s.time) ?? time.seconds;
  const put = (change: Partial<TimeSpec>) => edit((project) => setTime(project, change));
  const played = playedOf(time);
  const moment = { quantity: 'time', step: 0.1, min: 0, max: MOST_SECONDS } as const;
  return (
    <Popover
      open
      anchorEl={anchor}
      onClose={onClose}
      anchorOrigin={{ vertical: 'top', horizontal: 'right' }}
      transformOrigin={{ vertical: 'bottom', horizontal: 'right' }}
      slotProps={{ paper: { role: 'dialog', 'aria-label': 'Time', sx: { width: 300, p: 4, display: 'grid', gap: 1 } } }}
    >
      <NumberField
        label="Lasts"
        {...moment}
        min={0.04}
        value={time.seconds}
        initial={TIME_DEFAULTS.seconds}
        onChange={(value) => put({ seconds: value })}
      />
      <NumberField
        label="Frames per second"
        quantity="plain"
        step={1}
        min={1}
        max={240}
        value={time.framesPerSecond}
        initial={TIME_DEFAULTS.framesPerSecond}
        onChange={(framesPerSecond) => put({ framesPerSecond })}
      />
      <Typography variant="body2" color="text.secondary">
        {plural(frameCount(rangeOf(time)), 'frame')}.
      </Typography>
      <SwitchField label="Loops" value={time.loops} onChange={(loops) => put({ loops })} />
      <SwitchField
        label="Only a part is played"
        value={time.played !== null}
        onChange={(on) => put({ played: on ? { from: 0, to: time.seconds } : null })}
      />
      {time.played && (
        <>
          <NumberField
            label="From"
            {...moment}
            value={played.from}
            initial={0}
            onChange={(from) => put({ played: { ...played, from } })}
          />
          <NumberField
            label="To"
            {...moment}
            value={played.to}
            initial={time.seconds}
            onChange={(to) => put({ played: { ...played, to } })}
          />
        </>
      )}
      {time.markers.map(({ at, name }, i) => (
        <Box key={i} sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between' }}>
          <Button size="small" variant="text" color="secondary" onClick={() => set({ time: at, isPlaying: false })}>
            {name}, {seconds(at)}
          </Button>
          <IconButton
            size="small"
            aria-label={`Delete ${name}`}
            onClick={() => put({ markers: time.markers.filter((_, k) => k !== i) })}
          >
            <DeleteOutlineRounded sx={{ fontSize: 16 }} />
          </IconButton>
        </Box>
      ))}
      <Button
        size="small"
        variant="outlined"
        color="secondary"
        onClick={() =>
          put({
            markers: [...time.markers, { at: now, name: `Marker ${time.markers.length + 1}` }].toSorted(
              (a, b) => a.at - b.at,
            ),
          })
        }
      >
        Mark this moment
      </Button>
    </Popover>
  );
}
