'use client';

import { Button, Typography } from '@mui/material';
import { sourceOf } from '../../engine/run-source';
import { setLane } from '../../project/commands/lanes';
import { setStep } from '../../project/commands/runs';
import type { Run } from '../../project/schema';
import { Fold } from '../fields/Fold';
import { NumberField } from '../fields/NumberField';
import { degrees } from '../format';
import { useApp, useEdit, useNotify } from '../state/app-context';
import { useAsk } from '../state/use-ask';
import type { StepProps } from './step-props';

const WHOLE = 2 * Math.PI;

/** The twist of a run, by its roll at the end or by the metre, and made even. */
export function TwistFields({ run, result }: Pick<StepProps, 'run' | 'result'>) {
  const { document } = useApp();
  const edit = useEdit();
  const notify = useNotify();
  const ask = useAsk();
  if (!result) return null;
  const { roll, turns } = run.shape;
  const { reach } = result.layout;
  const length = reach.to - reach.from;
  const lie = (change: Partial<Run['shape']>) => edit((project) => setStep(project, run.id, 'shape', change));
  const { least, greatest, deviation } = result.path.twist;
  const even = async () => {
    const source = sourceOf(document.getState().project, run);
    const made = source.ok ? await ask((api) => api.evenTwist(source.value)) : undefined;
    if (!made) return;
    edit((project) => setLane(project, run.id, 'roll', made.roll));
    notify(
      `The twist was off by ${degrees(made.before.deviation)} a metre, and is by ${degrees(made.after.deviation)} now.`,
    );
  };
  return (
    <Fold
      title="Twist"
      summary={least === greatest ? `${degrees(least)} a metre` : `off by ${degrees(deviation)} a metre`}
    >
      <NumberField
        label="Roll at the end"
        quantity="angle"
        step={Math.PI / 180}
        min={-1e4}
        max={1e4}
        value={roll + WHOLE * turns}
        initial={roll}
        onChange={(end) => lie({ turns: (end - roll) / WHOLE })}
      />
      <NumberField
        label="Twist a metre"
        quantity="angle"
        step={Math.PI / 180}
        min={-1e4}
        max={1e4}
        value={(WHOLE * turns) / length}
        initial={0}
        onChange={(perMetre) => lie({ turns: (perMetre * length) / WHOLE })}
      />
      <Typography variant="body2" color="text.secondary">
        {degrees(least)} to {degrees(greatest)} a metre in all, with what frames and lanes add.
      </Typography>
      <Button variant="outlined" color="secondary" onClick={() => void even()} sx={{ mt: 1 }}>
        Make the twist even
      </Button>
    </Fold>
  );
}
