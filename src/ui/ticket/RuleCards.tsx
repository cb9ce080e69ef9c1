'use client';

import { Box, Typography } from '@mui/material';
import { RULE_GROUPS } from '../../core/layout/laying-rule';
import { LAYING_RULES, type LayingRuleName } from '../../core/layout/registry';
import type { LayoutSummary } from '../../core/layout/summary';
import { OptionCard } from '../fields/OptionCard';
import { metres, percentText, signed, times, whole } from '../format';

export interface RuleCardsProps {
  readonly chosen: LayingRuleName;
  /** What every rule would come to. */
  readonly outcomes: Partial<Record<LayingRuleName, LayoutSummary>> | undefined;
  readonly onChoose: (rule: LayingRuleName) => void;
}

const GROUPS = Object.entries(RULE_GROUPS) as [keyof typeof RULE_GROUPS, string][];

/** The laying rules, each with what it would come to. */
export function RuleCards({ chosen, outcomes, onChoose }: RuleCardsProps) {
  return (
    <Box role="radiogroup" aria-label="Laying rule" sx={{ display: 'grid', gap: 2 }}>
      {GROUPS.map(([group, title]) => (
        <Box key={group} sx={{ display: 'grid', gap: 1 }}>
          <Typography variant="caption" color="text.secondary">
            {title}
          </Typography>
          {LAYING_RULES.filter((rule) => rule.group === group).map((rule) => {
            const { kind, label, hint } = rule;
            const outcome = outcomes?.[kind];
            return (
              <OptionCard
                key={kind}
                label={label}
                hint={hint}
                {...(outcomes && { consequence: outcome ? consequence(rule, outcome) : 'cannot be laid here' })}
                isChosen={chosen === kind}
                onChoose={() => onChoose(kind)}
              />
            );
          })}
        </Box>
      ))}
    </Box>
  );
}

/** Metres between pieces: one number, or from the least to the greatest. */
const gapText = ({ least, greatest }: LayoutSummary['gap']): string =>
  greatest - least < 5e-4 ? metres(greatest) : `${metres(least)} to ${metres(greatest)}`;

/** What a rule would come to: pieces, and what they do with the reach. */
export function consequence(
  { tells, mayLeaveBare }: Pick<(typeof LAYING_RULES)[number], 'tells' | 'mayLeaveBare'>,
  { count, stretch, gap, remainder, pitch }: LayoutSummary,
): string {
  const percent = (stretch.greatest - 1) * 100;
  const evened = signed(percentText(percent), percent);
  if (pitch !== undefined) return `${whole(count)} · pitch ${metres(pitch)}`;
  if (count === 1 && stretch.greatest >= 2) return `1 · ${times(stretch.greatest)}`;
  if (remainder !== 0 && !mayLeaveBare)
    return `${whole(count)} · ${metres(Math.abs(remainder))} ${remainder > 0 ? 'left' : 'over'}`;
  if (tells === 'stretch' || Math.abs(percent) >= 0.005) return `${whole(count)} · ${evened}`;
  return tells === 'gap' || gap.greatest > 0 ? `${whole(count)} · ${gapText(gap)}` : whole(count);
}
