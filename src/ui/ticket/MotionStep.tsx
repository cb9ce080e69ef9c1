'use client';

import { Box } from '@mui/material';
import { motionOf, MOTIONS } from '../../core/motion/registry';
import { setMotion } from '../../project/commands/runs';
import { FormFields } from '../fields/FormFields';
import { OptionCard } from '../fields/OptionCard';
import { useEdit } from '../state/app-context';
import type { StepProps } from './step-props';

/** How the run moves over time. */
export function MotionStep({ run: { id, motion } }: StepProps) {
  const edit = useEdit();
  const own = motionOf(motion);
  return (
    <>
      <Box role="radiogroup" aria-label="Motion" sx={{ display: 'grid', gap: 1.5 }}>
        {MOTIONS.map(({ kind, label, hint, defaults }) => (
          <OptionCard
            key={kind}
            label={label}
            hint={hint}
            isChosen={motion.kind === kind}
            onChoose={() => motion.kind !== kind && edit((project) => setMotion(project, id, defaults))}
          />
        ))}
      </Box>
      <FormFields
        fields={own.fields}
        values={motion}
        onChange={(key, value) => {
          const read = own.schema.safeParse({ ...motion, [key]: value });
          if (read.success) edit((project) => setMotion(project, id, read.data));
        }}
      />
    </>
  );
}
