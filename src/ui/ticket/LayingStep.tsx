'use client';

import { Box } from '@mui/material';
import { useRef } from 'react';
import { FITS, fitOf, type FitName } from '../../core/layout/fit-registry';
import { LAYING_RULES, layingRule, switchRule, type LayingRuleName, type RuleSpec } from '../../core/layout/registry';
import type { LayoutSummary } from '../../core/layout/summary';
import type { Course } from '../../project/schema';
import { setCourse, setLaying, setRule, setStep } from '../../project/commands/runs';
import { ChoiceField } from '../fields/ChoiceField';
import { KindFields } from '../fields/KindFields';
import { NumberField } from '../fields/NumberField';
import { OptionCard } from '../fields/OptionCard';
import { metres, percentText, signed, times, whole } from '../format';
import { useEdit } from '../state/app-context';
import type { StepProps } from './step-props';
import { VariationFields } from './VariationFields';

/** How many pieces and how they fill the reach; every rule with what it would come to. */
export function LayingStep({ run, course, result }: StepProps) {
  const edit = useEdit();
  const at = { run: run.id, course: course.id };
  const { rule, variation } = course.laying;
  const own = layingRule(rule);
  const length = result?.path.length ?? 0;
  // A rule that was left keeps its options for as long as the step is open.
  const left = useRef(new Map<LayingRuleName, RuleSpec>());
  const choose = (kind: LayingRuleName) => {
    left.current.set(rule.kind, rule);
    const next = left.current.get(kind) ?? switchRule(rule, kind);
    edit((project) => setRule(project, at, next));
  };
  return (
    <>
      <Box role="radiogroup" aria-label="Laying rule" sx={{ display: 'grid', gap: 1.5 }}>
        {LAYING_RULES.map(({ kind, label, hint, tells }) => {
          const choice = result?.choices.rules[kind];
          return (
            <OptionCard
              key={kind}
              label={label}
              hint={hint}
              {...(choice && { consequence: consequence(tells, choice) })}
              isChosen={rule.kind === kind}
              onChoose={() => choose(kind)}
            />
          );
        })}
      </Box>
      <Box>
        <KindFields kind={own} values={rule} onChange={(next) => edit((project) => setRule(project, at, next))} />
        <NumberField
          label="From station"
          quantity="length"
          step={0.1}
          min={0}
          max={length}
          value={run.reach.from ?? 0}
          onChange={(from) => edit((project) => setStep(project, run.id, 'reach', { from: from > 0 ? from : null }))}
        />
        <NumberField
          label="To station"
          quantity="length"
          step={0.1}
          min={0}
          max={length}
          value={run.reach.to ?? length}
          onChange={(to) =>
            edit((project) => setStep(project, run.id, 'reach', { to: to < length - 1e-6 ? to : null }))
          }
        />
        <FitFields course={course} onChange={(fit) => edit((project) => setCourse(project, at, { fit }))} />
        {rule.kind !== 'onePiece' && (
          <VariationFields
            variation={variation}
            onChange={(next) => edit((project) => setLaying(project, at, { variation: next }))}
          />
        )}
      </Box>
    </>
  );
}

/** How pieces sit on the path. */
function FitFields({ course: { fit }, onChange }: { course: Course; onChange: (fit: Course['fit']) => void }) {
  const own = fitOf(fit);
  return (
    <>
      <ChoiceField
        label="Pieces are"
        value={fit.kind}
        choices={FITS.map(({ kind, label }) => ({ value: kind, label }))}
        onChange={(kind: FitName) => onChange(fitOf({ kind }).defaults)}
      />
      <KindFields kind={own} values={fit} onChange={onChange} />
    </>
  );
}

/** Metres between pieces: one number, or from the least to the greatest. */
const gapText = ({ least, greatest }: LayoutSummary['gap']): string =>
  greatest - least < 5e-4 ? metres(greatest) : `${metres(least)} to ${metres(greatest)}`;

/** What a rule would come to: pieces, and what they do with the reach. */
export function consequence(
  tells: 'stretch' | 'gap' | 'count',
  { count, stretch, gap, remainder }: LayoutSummary,
): string {
  const percent = (stretch.greatest - 1) * 100;
  const evened = signed(percentText(percent), percent);
  if (count === 1) return stretch.greatest >= 2 ? times(stretch.greatest) : evened;
  if (remainder !== 0) return `${whole(count)} · ${metres(Math.abs(remainder))} ${remainder > 0 ? 'left' : 'over'}`;
  if (tells === 'stretch' || Math.abs(percent) >= 0.005) return `${whole(count)} · ${evened}`;
  return tells === 'gap' || gap.greatest > 0 ? `${whole(count)} · ${gapText(gap)}` : whole(count);
}
