'use client';

import { Box, Typography } from '@mui/material';
import { EASINGS, easingOf } from '../../core/motion/easing-registry';
import { growthOf, GROWTHS } from '../../core/motion/growth-registry';
import type { MotionSpec } from '../../core/motion/motion-spec';
import { setMotion } from '../../project/commands/motion';
import { ChoiceField } from '../fields/ChoiceField';
import { KindFields } from '../fields/KindFields';
import { NumberField } from '../fields/NumberField';
import { OptionCard } from '../fields/OptionCard';
import { useEdit } from '../state/app-context';
import type { StepProps } from './step-props';
import { TravelFields } from './TravelFields';
import { WaitFields } from './WaitFields';

const ORIGINS: readonly { value: MotionSpec['from']; label: string }[] = [
  { value: 'start', label: 'from its start' },
  { value: 'end', label: 'from its end' },
  { value: 'middle', label: 'from its middle' },
  { value: 'station', label: 'from a station' },
];

const EASING_CHOICES = EASINGS.map(({ kind, label }) => ({ value: kind, label: label.toLowerCase() }));

/** How the run comes into being and how it moves. */
export function MotionStep({ run, result }: StepProps) {
  const { id, motion } = run;
  const edit = useEdit();
  const { growth, easing, from, station } = motion;
  const change = (next: Partial<MotionSpec>) => edit((project) => setMotion(project, id, next));
  const reach = result?.layout.reach;
  return (
    <>
      <Box role="radiogroup" aria-label="Growth" sx={{ display: 'grid', gap: 1.5 }}>
        {GROWTHS.map(({ kind, label, hint, defaults }) => (
          <OptionCard
            key={kind}
            label={label}
            hint={hint}
            isChosen={growth.kind === kind}
            onChoose={() => growth.kind !== kind && change({ growth: { ...defaults, ...kept(growth, defaults) } })}
          />
        ))}
      </Box>
      <KindFields kind={growthOf(growth)} values={growth} onChange={(next) => change({ growth: next })} />
      {growth.kind !== 'none' && (
        <>
          <ChoiceField label="It grows" value={from} choices={ORIGINS} onChange={(next) => change({ from: next })} />
          {from === 'station' && (
            <NumberField
              label="From station"
              quantity="length"
              step={0.1}
              min={reach?.from ?? 0}
              max={reach?.to ?? 1e6}
              value={station}
              onChange={(next) => change({ station: next })}
            />
          )}
          <ChoiceField
            label="Pace"
            value={easing.kind}
            choices={EASING_CHOICES}
            onChange={(kind) => change({ easing: easingOf({ kind }).defaults })}
          />
          <KindFields kind={easingOf(easing)} values={easing} onChange={(next) => change({ easing: next })} />
        </>
      )}
      <WaitFields run={run} />
      <Typography sx={{ fontWeight: 650, pt: 1 }}>Travel</Typography>
      <TravelFields run={run} result={result} />
    </>
  );
}

/** What another kind of growth is taken along from: how long it takes. */
const kept = (growth: MotionSpec['growth'], defaults: MotionSpec['growth']) =>
  'seconds' in growth && 'seconds' in defaults ? { seconds: growth.seconds } : {};
