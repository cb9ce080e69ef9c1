'use client';

import { Box, Typography } from '@mui/material';
import { FRAME_RULES } from '../../core/frames/registry';
import { setStep } from '../../project/commands/runs';
import type { Run } from '../../project/schema';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';
import { OptionCards } from '../fields/OptionCards';
import { metres } from '../format';
import { useEdit } from '../state/app-context';
import { CornerFields } from './CornerFields';
import { FollowFields } from './FollowFields';
import { FrameFields } from './FrameFields';
import { GaugeShapes } from './GaugeShapes';
import { SlicingFields } from './SlicingFields';
import type { StepProps } from './step-props';
import { StiffFields } from './StiffFields';
import { TwistFields } from './TwistFields';
import { useChoices } from './use-choices';

type Bending = Run['bending'];
type Shape = Run['shape'];

/** How the pieces follow the path: which way is up, roll, turns, thickness, ends and rows. */
export function BendingStep({ run, course, segment, path, result }: StepProps) {
  const edit = useEdit();
  const counts = useChoices(run, course)?.slicings;
  const { bending, shape } = run;
  const set = (change: Partial<Bending>) => edit((project) => setStep(project, run.id, 'bending', change));
  const lie = (change: Partial<Shape>) => edit((project) => setStep(project, run.id, 'shape', change));
  const { slicing } = bending;
  const keys = ['runs', run.id, 'shape'];
  return (
    <>
      <OptionCards
        label="Frames"
        options={FRAME_RULES.map(({ kind, label, hint }) => ({ value: kind, label, hint }))}
        value={shape.frames.rule}
        onChange={(rule) => lie({ frames: { ...shape.frames, rule } })}
      />
      <FrameFields run={run} result={result} />
      <Box>
        <NumberField
          of={[...keys, 'roll']}
          label="Roll"
          initial={0}
          quantity="angle"
          step={Math.PI / 180}
          value={shape.roll}
          min={-1e4}
          max={1e4}
          onChange={(roll) => lie({ roll })}
        />
        <NumberField
          of={[...keys, 'turns']}
          label="Turns over the length"
          initial={0}
          quantity="plain"
          step={0.25}
          value={shape.turns}
          min={-1e4}
          max={1e4}
          onChange={(turns) => lie({ turns })}
        />
        <TwistFields run={run} result={result} />
        <NumberField
          of={[...keys, 'gauge']}
          label="Gauge"
          initial={1}
          quantity="plain"
          step={0.05}
          value={shape.gauge}
          min={1e-4}
          max={1e4}
          onChange={(gauge) => lie({ gauge })}
        />
        <GaugeShapes run={run} result={result} />
        <FollowFields run={run} result={result} />
        <StiffFields run={run} result={result} />
        <NumberField
          of={[...keys, 'lift']}
          label="Lifted, plumb"
          initial={0}
          quantity="length"
          step={0.05}
          value={shape.lift ?? 0}
          min={-1e4}
          max={1e4}
          onChange={(lift) => lie({ lift })}
        />
        <CornerFields run={run} course={course} path={path} segment={segment} result={result} />
        <ChoiceField
          label="Past the end"
          value={bending.pastEnd}
          choices={[
            { value: 'straightOn', label: result?.path.closed ? 'wrap round' : 'run straight on' },
            { value: 'trim', label: 'trim' },
            { value: 'hold', label: 'hold' },
          ]}
          onChange={(pastEnd) => set({ pastEnd })}
        />
        <SlicingFields
          slicing={slicing}
          keys={['runs', run.id, 'bending', 'slicing']}
          result={result}
          counts={counts}
          onChange={(next) => set({ slicing: next })}
        />
        <NumberField
          label="Tolerance of the bend"
          of={['runs', run.id, 'bending', 'tolerance']}
          quantity="length"
          step={0.0005}
          min={1e-6}
          max={10}
          value={result?.segment.tolerance ?? bending.tolerance ?? 0.001}
          onChange={(tolerance) => set({ tolerance })}
        />
      </Box>
      {result && (
        <Typography variant="body2" color="text.secondary">
          Up to {result.segment.rows} rows a piece; the bent surface stays within {metres(result.segment.tolerance)}.
        </Typography>
      )}
    </>
  );
}
