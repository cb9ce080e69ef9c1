'use client';

import { Typography } from '@mui/material';
import { growthOf, GROWTHS, type GrowthSpec } from '../../core/motion/growth-registry';
import type { MotionSpec } from '../../core/motion/motion-spec';
import { setMotion } from '../../project/commands/motion';
import { ChoiceField } from '../fields/ChoiceField';
import { EasingField } from '../fields/EasingField';
import { KindFields } from '../fields/KindFields';
import { NumberField } from '../fields/NumberField';
import { OptionCards } from '../fields/OptionCards';
import { useEdit } from '../state/app-context';
import { growingOf, growthOutcome } from './growth-outcomes';
import type { StepProps } from './step-props';
import { TravelFields } from './TravelFields';
import { WaitFields } from './WaitFields';

const ORIGINS: readonly { value: MotionSpec['from']; label: string }[] = [
  { value: 'start', label: 'from its start' },
  { value: 'end', label: 'from its end' },
  { value: 'middle', label: 'from its middle' },
  { value: 'station', label: 'from a station' },
];

/** How the run comes into being and how it moves. */
export function MotionStep({ run, result }: StepProps) {
  const { id, motion } = run;
  const edit = useEdit();
  const { growth, easing, from, station } = motion;
  const change = (next: Partial<MotionSpec>) => edit((project) => setMotion(project, id, next));
  const asKind = (kind: GrowthSpec['kind']): GrowthSpec => {
    const { defaults } = growthOf({ kind });
    return kind === growth.kind ? growth : { ...defaults, ...kept(growth, defaults) };
  };
  const stagger = result && growthOf(growth).stagger?.(growth, growingOf(result));
  const reach = result?.layout.reach;
  return (
    <>
      <OptionCards
        label="Growth"
        options={GROWTHS.map(({ kind, label, hint }) => ({
          value: kind,
          label,
          hint,
          consequence: growthOutcome(asKind(kind), result),
        }))}
        value={growth.kind}
        onChange={(kind) => change({ growth: asKind(kind) })}
      />
      <KindFields kind={growthOf(growth)} values={growth} onChange={(next) => change({ growth: next })} />
      {stagger && (
        <NumberField
          label={stagger.label}
          quantity={stagger.unit === 's' ? 'time' : 'speed'}
          step={stagger.unit === 's' ? 0.05 : 0.5}
          min={0}
          max={1e4}
          value={Number(stagger.value.toPrecision(6))}
          onChange={(value) => change({ growth: stagger.with(value) })}
        />
      )}
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
              initial={reach?.from ?? 0}
              onChange={(next) => change({ station: next })}
            />
          )}
          <EasingField label="Pace" value={easing} onChange={(next) => change({ easing: next })} />
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
