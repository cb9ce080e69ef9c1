'use client';

import { Box } from '@mui/material';
import { LAYING_RULES, layingRule, MAX_PIECES, type LayingRuleName, type LayingSpec } from '../../core/laying/registry';
import { setStep } from '../../project/commands/runs';
import type { LayingChoice } from '../../engine/run-view';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';
import { OptionCard } from '../fields/OptionCard';
import { metres, percentText, signed, times, whole } from '../format';
import { useEdit } from '../state/app-context';
import type { StepProps } from './step-props';
import { VariationFields } from './VariationFields';

/** How many pieces and how they fill the reach; every rule with what it would come to. */
export function LayingStep({ run, result }: StepProps) {
  const edit = useEdit();
  const { laying } = run;
  const set = (change: Partial<LayingSpec>) => edit((project) => setStep(project, run.id, 'laying', change));
  const rule = layingRule(laying);
  const length = result?.view.path.length ?? 0;
  return (
    <>
      <Box role="radiogroup" aria-label="Laying rule" sx={{ display: 'grid', gap: 1.5 }}>
        {LAYING_RULES.map(({ kind, label, hint }) => {
          const choice = result?.view.choices[kind];
          return (
            <OptionCard
              key={kind}
              label={label}
              hint={hint}
              {...(choice && { consequence: consequence(kind, choice) })}
              isChosen={laying.rule === kind}
              onChoose={() => set({ rule: kind })}
            />
          );
        })}
      </Box>
      <Box>
        {rule.uses.count && (
          <NumberField
            label="Pieces"
            quantity="plain"
            step={1}
            min={1}
            max={MAX_PIECES}
            value={laying.count}
            onChange={(count) => set({ count: Math.round(count) })}
          />
        )}
        {rule.kind === 'onePiece' && (
          <ChoiceField
            label="It lies"
            value={laying.oneFit}
            choices={[
              { value: 'reach', label: 'over the whole reach' },
              { value: 'start', label: 'from the start' },
              { value: 'middle', label: 'in the middle' },
              { value: 'end', label: 'at the end' },
            ]}
            onChange={(oneFit) => set({ oneFit })}
          />
        )}
        {rule.uses.count && (
          <ChoiceField
            label="Over the reach"
            value={laying.countFit}
            choices={[
              { value: 'stretch', label: 'stretched evenly' },
              { value: 'gaps', label: 'gaps spread evenly' },
              { value: 'own', label: 'at their own length' },
            ]}
            onChange={(countFit) => set({ countFit })}
          />
        )}
        {rule.uses.gap && !(rule.uses.count && laying.countFit === 'gaps') && (
          <NumberField
            label="Gap (negative overlaps)"
            quantity="length"
            step={0.01}
            min={-1e4}
            max={1e4}
            value={laying.gap}
            onChange={(gap) => set({ gap })}
          />
        )}
        <NumberField
          label="From station"
          quantity="length"
          step={0.1}
          min={0}
          max={length}
          value={laying.from ?? 0}
          onChange={(from) => set({ from: from > 0 ? from : null })}
        />
        <NumberField
          label="To station"
          quantity="length"
          step={0.1}
          min={0}
          max={length}
          value={laying.to ?? length}
          onChange={(to) => set({ to: to < length - 1e-6 ? to : null })}
        />
        {rule.kind !== 'onePiece' && (
          <VariationFields variation={laying.variation} onChange={(variation) => set({ variation })} />
        )}
      </Box>
    </>
  );
}

function consequence(rule: LayingRuleName, { count, stretch, gap, remainder }: LayingChoice): string {
  const percent = (stretch - 1) * 100;
  if (rule === 'onePiece') return stretch >= 2 ? times(stretch) : signed(percentText(percent), percent);
  if (rule === 'byCount' && remainder === 0 && Math.abs(percent) >= 0.005)
    return `${whole(count)} · ${signed(percentText(percent), percent)}`;
  if (rule === 'fillStretch') return `${whole(count)} · ${signed(percentText(percent), percent)}`;
  if ((rule === 'fillGaps' || (rule === 'byCount' && gap > 0)) && remainder === 0)
    return `${whole(count)} · ${metres(gap)}`;
  if (remainder === 0) return whole(count);
  return `${whole(count)} · ${metres(Math.abs(remainder))} ${remainder > 0 ? 'left' : 'over'}`;
}
