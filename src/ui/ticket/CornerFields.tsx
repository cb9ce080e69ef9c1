'use client';

import { Typography } from '@mui/material';
import { curveKind, type CurveSpec } from '../../core/curve/registry';
import { setLaying, setStep } from '../../project/commands/runs';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';
import { useEdit } from '../state/app-context';
import type { StepProps } from './step-props';

type Manner = 'mitred' | 'rounded' | 'piece';

const CHOICES: readonly { value: Manner; label: string }[] = [
  { value: 'mitred', label: 'as they are, mitred' },
  { value: 'rounded', label: 'rounded' },
  { value: 'piece', label: 'a corner piece' },
];

/** What becomes of the path's sharp corners, but for those whose points say something else. */
export function CornerFields({ run, course, path, result }: StepProps) {
  const edit = useEdit();
  const curve = path.curve as CurveSpec;
  const { uses } = curveKind(curve);
  if (!uses.radius || uses.side) return null;
  const at = { run: run.id, course: course.id };
  const radius = run.shape.cornerRadius;
  const { joints } = course.laying;
  const manner: Manner = radius ? 'rounded' : joints.at === 'corners' ? 'piece' : 'mitred';
  const { min, max } = result?.segment.box ?? { min: [0, 0, 0], max: [0, 0, 1] };
  const choose = (next: Manner) =>
    edit((project) => {
      const cornerRadius = next === 'rounded' ? Number((max[2] - min[2]).toPrecision(2)) : undefined;
      const shaped = setStep(project, run.id, 'shape', { cornerRadius });
      const jointed = next === 'piece' ? 'corners' : joints.at === 'corners' ? 'none' : joints.at;
      return setLaying(shaped, at, { joints: { ...joints, at: jointed } });
    });
  return (
    <>
      <ChoiceField label="Sharp corners" value={manner} choices={CHOICES} onChange={choose} />
      {radius !== undefined && radius > 0 && (
        <NumberField
          label="Rounded to a radius of"
          of={['runs', run.id, 'shape', 'cornerRadius']}
          quantity="length"
          step={0.1}
          min={0.001}
          max={1e6}
          value={radius}
          onChange={(cornerRadius) => edit((project) => setStep(project, run.id, 'shape', { cornerRadius }))}
        />
      )}
      {manner === 'piece' && course.joint === undefined && (
        <Typography variant="body2" color="text.secondary">
          Choose the piece in Laying, under Ends and joints.
        </Typography>
      )}
    </>
  );
}
