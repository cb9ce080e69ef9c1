'use client';

import { Box } from '@mui/material';
import { motionOf, MOTIONS } from '../../core/motion/registry';
import { setMotion } from '../../project/commands/runs';
import { KindFields } from '../fields/KindFields';
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
      <KindFields kind={own} values={motion} onChange={(next) => edit((project) => setMotion(project, id, next))} />
    </>
  );
}
