'use client';

import { Box, Button, Typography } from '@mui/material';
import { useState } from 'react';
import { changeCurve } from '../../project/commands/paths';
import type { Guide } from '../../project/schema';
import { NumberField } from '../fields/NumberField';
import { useEdit, useRun, useSet } from '../state/app-context';
import { useAsk } from '../state/use-ask';

/** How a winding begins: whole turns, metres, radians. */
const WINDING = { turns: 3, from: 0.1, rise: 2, startAngle: 0, clearance: 0.02 };

/** Winds the selected run's path round the guide: evenly spaced points with turns, rise and clearance. */
export function WindFields({ guide }: { guide: Guide }) {
  const run = useRun();
  const edit = useEdit();
  const set = useSet();
  const ask = useAsk();
  const [winding, setWinding] = useState(WINDING);
  if (!run) return null;
  const field = (key: keyof typeof winding, label: string, quantity: 'length' | 'plain' | 'angle', step: number) => (
    <NumberField
      label={label}
      quantity={quantity}
      step={step}
      min={-1e4}
      max={1e4}
      value={winding[key]}
      initial={WINDING[key]}
      onChange={(value) => setWinding({ ...winding, [key]: value })}
    />
  );
  const wind = async () => {
    const points = await ask((api) => api.windRound(guide, winding));
    if (!points) return;
    edit((project) => changeCurve(project, run.path, () => ({ kind: 'smooth', closed: false, points })));
    set({ point: undefined, step: 'path', tool: 'shape' });
  };
  return (
    <Box component="section" aria-label="Wind round it">
      <Typography variant="caption" color="text.secondary">
        Wind round it
      </Typography>
      {field('turns', 'Turns', 'plain', 0.25)}
      {field('from', 'Begins at a height of', 'length', 0.05)}
      {field('rise', 'Rise', 'length', 0.1)}
      {field('startAngle', 'Begins at an angle of', 'angle', Math.PI / 36)}
      {field('clearance', 'Clearance', 'length', 0.005)}
      <Button variant="outlined" color="secondary" fullWidth onClick={() => void wind()} sx={{ mt: 1 }}>
        Wind {run.name} round it
      </Button>
    </Box>
  );
}
