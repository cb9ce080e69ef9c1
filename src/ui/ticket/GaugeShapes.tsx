'use client';

import { Button } from '@mui/material';
import { useState } from 'react';
import { useStore } from 'zustand';
import { laneOf } from '../../project/commands/lanes';
import { useApp } from '../state/app-context';
import { LanePresets } from '../straightview/LanePresets';
import type { StepProps } from './step-props';

/** The way from the ticket to a run's thickness along its length. */
export function GaugeShapes({ run, result }: Pick<StepProps, 'run' | 'result'>) {
  const { lanes, session } = useApp();
  const show = useStore(lanes, (s) => s.show);
  const shown = useStore(lanes, (s) => s.shown);
  const [anchor, setAnchor] = useState<Element>();
  if (!result) return null;
  return (
    <>
      <Button
        variant="outlined"
        color="secondary"
        aria-haspopup="dialog"
        onClick={(event) => {
          const isShown = shown.some(({ kind }) => kind === 'gauge' || kind === 'gaugeUp');
          if (!isShown) show('gauge', true);
          session.getState().set({ along: 'length' });
          setAnchor(event.currentTarget);
        }}
        sx={{ my: 1 }}
      >
        {laneOf(run, 'gauge') ? 'Thickness along it' : 'Tip, swelling, wave'}
      </Button>
      {anchor && (
        <LanePresets
          pick="gauge"
          run={run}
          reach={result.layout.reach}
          anchor={anchor}
          onClose={() => setAnchor(undefined)}
        />
      )}
    </>
  );
}
