'use client';

import GridOnOutlined from '@mui/icons-material/GridOnOutlined';
import { Box, Typography } from '@mui/material';
import { NumberField } from '../fields/NumberField';
import { PopoverButton } from '../fields/PopoverButton';
import { SwitchField } from '../fields/SwitchField';
import { useSession, useSet } from '../state/app-context';
import type { Snapping } from '../state/session-store';

/** Metres of the grid when it is first switched on. */
export const GRID = 0.5;

/** What dragged points catch on. */
export function SnapButton() {
  const snapping = useSession((s) => s.snapping);
  const comb = useSession((s) => s.comb);
  const set = useSet();
  const put = (change: Partial<Snapping>) => set({ snapping: { ...snapping, ...change } });
  return (
    <PopoverButton
      name="Snap and show"
      label={{ icon: <GridOnOutlined sx={{ fontSize: 18 }} /> }}
      hint="What points snap to, and what is shown"
      isMarked={snapping.grid !== null}
    >
      {() => (
        <>
          <Typography variant="caption" color="text.secondary">
            Dragged points snap to
          </Typography>
          <Box>
            <SwitchField
              label="Points, ends and sockets"
              value={snapping.points}
              onChange={(points) => put({ points })}
            />
            <SwitchField
              label="Guides and their middles"
              value={snapping.guides}
              onChange={(guides) => put({ guides })}
            />
            {snapping.guides && (
              <NumberField
                label="off their surface by"
                quantity="length"
                step={0.01}
                min={-100}
                max={100}
                value={snapping.clearance}
                initial={0}
                onChange={(clearance) => put({ clearance })}
              />
            )}
            <SwitchField
              label="A grid"
              value={snapping.grid !== null}
              onChange={(on) => put({ grid: on ? GRID : null })}
            />
            {snapping.grid !== null && (
              <NumberField
                label="every"
                quantity="length"
                step={0.05}
                min={0.001}
                max={1000}
                value={snapping.grid}
                initial={GRID}
                onChange={(grid) => put({ grid })}
              />
            )}
          </Box>
          <Typography variant="caption" color="text.secondary">
            Shown in the view
          </Typography>
          <SwitchField label="Frames as a comb" value={comb} onChange={(on) => set({ comb: on })} />
        </>
      )}
    </PopoverButton>
  );
}
