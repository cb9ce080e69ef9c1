'use client';

import { Box, Button, Typography } from '@mui/material';
import { setStep } from '../../project/commands/runs';
import type { Run } from '../../project/schema';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';
import { SwitchField } from '../fields/SwitchField';
import { degrees } from '../format';
import { useEdit, useProject } from '../state/app-context';
import type { StepProps } from './step-props';

type Frames = Run['shape']['frames'];

const UPS = {
  y: { label: 'y (plumb)', up: [0, 1, 0] },
  x: { label: 'x', up: [1, 0, 0] },
  z: { label: 'z', up: [0, 0, 1] },
} as const;
const NONE = 'none';

/** What a frame rule asks for beside its choice: the guide to sit on, the up direction, and the rolls at both ends. */
export function FrameFields({ run, result }: Pick<StepProps, 'run' | 'result'>) {
  const edit = useEdit();
  const guides = useProject((s) => s.project.guides);
  const { frames } = run.shape;
  const set = (change: Partial<Frames>) =>
    edit((project) => setStep(project, run.id, 'shape', { frames: { ...frames, ...change } }));
  const { ends, rule, up } = frames;
  const axis = (['x', 'z'] as const).find((name) => Math.abs(up[name === 'x' ? 0 : 2]) > 0.99) ?? 'y';
  const isClosed = result?.path.closed === true;
  return (
    <Box>
      {rule === 'sitOnGuide' && (
        <ChoiceField
          label="Guide"
          value={frames.guide ?? NONE}
          choices={[
            { value: NONE, label: guides.length > 0 ? 'choose one' : 'add one under Guides' },
            ...guides.map(({ id, name }) => ({ value: id, label: name })),
          ]}
          onChange={(guide) => set({ guide: guide === NONE ? undefined : guide })}
        />
      )}
      <ChoiceField
        label={rule === 'upright' ? 'Up is' : 'Up at the start is'}
        value={axis}
        choices={Object.entries(UPS).map(([value, { label }]) => ({ value: value as keyof typeof UPS, label }))}
        onChange={(name) => set({ up: UPS[name].up })}
      />
      {!isClosed && (
        <SwitchField
          label="Match the ends"
          value={ends !== undefined}
          onChange={(on) => set({ ends: on ? { start: 0, end: 0 } : undefined })}
        />
      )}
      {!isClosed && ends && (
        <>
          {(['start', 'end'] as const).map((end) => (
            <NumberField
              key={end}
              label={`Roll at the ${end}, from upright`}
              of={['runs', run.id, 'shape', 'frames', 'ends', end]}
              quantity="angle"
              step={Math.PI / 36}
              min={-1e4}
              max={1e4}
              value={ends[end]}
              initial={0}
              onChange={(value) => set({ ends: { ...ends, [end]: value } })}
            />
          ))}
          {result && (
            <Typography variant="body2" color="text.secondary">
              Spread evenly: {degrees(result.path.endTwist)} per metre.
            </Typography>
          )}
        </>
      )}
      {(rule === 'faceOut' || rule === 'faceBend') && (
        <Button
          variant="outlined"
          color="secondary"
          onClick={() => edit((project) => setStep(project, run.id, 'shape', { roll: turnedOver(run.shape.roll) }))}
        >
          Swap inside and outside
        </Button>
      )}
    </Box>
  );
}

/** Half a turn more, or less where that leads back. */
const turnedOver = (roll: number): number => (roll > 1e-9 ? roll - Math.PI : roll + Math.PI);
