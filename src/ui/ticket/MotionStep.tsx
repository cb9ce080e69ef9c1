'use client';

import { Box } from '@mui/material';
import { setStep } from '../../project/commands/runs';
import { NumberField } from '../fields/NumberField';
import { OptionCard } from '../fields/OptionCard';
import { useEdit } from '../state/app-context';
import type { StepProps } from './step-props';

const GROWTHS = [
  { value: 'none', label: 'Still', hint: 'The whole run from the start' },
  { value: 'stretchOut', label: 'Stretch out', hint: 'The reach goes from nothing to the whole at a steady pace' },
] as const;

/** How the run comes into being over time. */
export function MotionStep({ run }: StepProps) {
  const edit = useEdit();
  const { growth, seconds } = run.motion;
  return (
    <>
      <Box role="radiogroup" aria-label="Growth" sx={{ display: 'grid', gap: 1.5 }}>
        {GROWTHS.map(({ value, label, hint }) => (
          <OptionCard
            key={value}
            label={label}
            hint={hint}
            isChosen={growth === value}
            onChoose={() => edit((project) => setStep(project, run.id, 'motion', { growth: value }))}
          />
        ))}
      </Box>
      {growth !== 'none' && (
        <NumberField
          label="Takes"
          quantity="time"
          step={0.1}
          min={0.04}
          max={3600}
          value={seconds}
          onChange={(value) => edit((project) => setStep(project, run.id, 'motion', { seconds: value }))}
        />
      )}
    </>
  );
}
