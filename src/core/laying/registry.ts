import { z } from 'zod';
import type { LayingRule } from './laying-rule';
import { rules } from './rules';
import { NO_VARIATION, variationSchema } from './variation';

rules satisfies { [K in keyof typeof rules]: { kind: K } };

export type LayingRuleName = keyof typeof rules;

export const LAYING_RULES = Object.values(rules) as readonly LayingRule<LayingRuleName>[];

/** Most pieces that one run may have. */
export const MAX_PIECES = 100_000;

export const layingSpecSchema = z.strictObject({
  rule: z.enum(Object.keys(rules) as [LayingRuleName, ...LayingRuleName[]]),
  /** Pieces wished, for rules that count. */
  count: z.number().int().min(1).max(MAX_PIECES),
  /** What counted pieces do with the reach; see `CountFit`. */
  countFit: z.enum(['own', 'stretch', 'gaps']).default('own'),
  /** Where one piece lies; see `OneFit`. */
  oneFit: z.enum(['reach', 'start', 'middle', 'end']).default('reach'),
  /** Metres between pieces; negative = overlap. */
  gap: z.number().min(-1e4).max(1e4),
  /** The reach: stations in metres; null = the path's own start or end. */
  from: z.number().min(0).nullable(),
  to: z.number().min(0).nullable(),
  variation: variationSchema.default(NO_VARIATION),
});

export type LayingSpec = z.infer<typeof layingSpecSchema>;

export const layingRule = (spec: Pick<LayingSpec, 'rule'>): LayingRule<LayingRuleName> => rules[spec.rule];
