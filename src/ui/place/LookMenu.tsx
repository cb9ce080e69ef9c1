'use client';

import { Box, Button, Divider, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { useRun, useSession, useSet } from '../state/app-context';
import { PopoverButton } from '../fields/PopoverButton';
import { SwitchField } from '../fields/SwitchField';
import type { ViewName } from '../state/session-store';
import { CameraList } from './CameraList';
import { useLooking } from './use-looking';
import { VIEW_NAMES, VIEWS } from './views';

/** From where the scene is looked at: straight views, perspective, kept cameras, a ride along the run. */
export function LookMenu() {
  const view = useSession((s) => s.view);
  const isFlat = useSession((s) => s.isFlat);
  const ride = useSession((s) => s.ride);
  const looking = useLooking();
  const run = useRun();
  const set = useSet();
  const label = ride ? 'Riding' : VIEWS[view];
  return (
    <PopoverButton name="Looking" label={label} hint="From where you look: views, cameras, a ride along the run">
      {(close) => (
        <>
          <ToggleButtonGroup
            exclusive
            fullWidth
            aria-label="View"
            value={view}
            onChange={(_, next: ViewName | null) => {
              if (next) set({ view: next });
              close();
            }}
          >
            {VIEW_NAMES.map((own) => (
              <ToggleButton key={own} value={own}>
                {VIEWS[own]}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          {view === 'free' && (
            <Box sx={{ mt: 1 }}>
              <SwitchField label="With perspective" value={!isFlat} onChange={(on) => set({ isFlat: !on })} />
            </Box>
          )}
          <Divider sx={{ my: 2 }} />
          <CameraList onLooked={close} />
          {run && (
            <>
              <Divider sx={{ my: 2 }} />
              <Button
                fullWidth
                color="secondary"
                variant="outlined"
                onClick={() => {
                  close();
                  looking.ride(run);
                }}
              >
                Ride along {run.name}
              </Button>
              <Typography variant="caption" color="text.secondary" sx={{ display: 'block', mt: 1 }}>
                As one sees it who goes along it: twist and unevenness show.
              </Typography>
            </>
          )}
        </>
      )}
    </PopoverButton>
  );
}
