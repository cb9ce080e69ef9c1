'use client';

import PauseRounded from '@mui/icons-material/PauseRounded';
import PlayArrowRounded from '@mui/icons-material/PlayArrowRounded';
import { Box, Button, IconButton, Slider } from '@mui/material';
import { NumberField } from '../fields/NumberField';
import { metres } from '../format';
import { useCourseView, useSession, useSet } from '../state/app-context';

/** Riding along a run: on, held, how fast, where. */
export function RideBar() {
  const ride = useSession((s) => s.ride);
  const station = useSession((s) => s.station) ?? 0;
  const result = useCourseView();
  const set = useSet();
  if (!ride || !result) return null;
  const put = (change: Partial<typeof ride>) => set({ ride: { ...ride, ...change } });
  return (
    <Box
      role="group"
      aria-label="Ride along the run"
      sx={{
        ...{ position: 'absolute', bottom: 14, left: '50%', transform: 'translateX(-50%)', display: 'flex', gap: 3 },
        ...{ alignItems: 'center', px: 4, py: 1.5, borderRadius: 2, bgcolor: 'background.paper', boxShadow: 3 },
      }}
    >
      <IconButton
        aria-label={ride.isHeld ? 'Ride on' : 'Hold'}
        onClick={() => put({ isHeld: !ride.isHeld, station, count: ride.count + 1 })}
      >
        {ride.isHeld ? <PlayArrowRounded /> : <PauseRounded />}
      </IconButton>
      <Slider
        size="small"
        aria-label="Station of the ride"
        sx={{ width: 180 }}
        min={0}
        max={result.path.length}
        step={result.path.length / 500}
        value={Math.min(station, result.path.length)}
        valueLabelDisplay="auto"
        valueLabelFormat={metres}
        onChange={(_, next) => put({ station: next, count: ride.count + 1 })}
      />
      <Box sx={{ width: 190 }}>
        <NumberField
          label="Speed, m/s"
          quantity="plain"
          step={0.5}
          min={0.001}
          max={1000}
          value={ride.speed}
          onChange={(speed) => put({ speed })}
        />
      </Box>
      <Button color="secondary" onClick={() => set({ ride: undefined })}>
        End
      </Button>
    </Box>
  );
}
