import { z } from 'zod';
import type { LayingRule } from './laying-rule';
import { rules } from './rules';
import { NO_VARIATION, variationSchema } from './variation';

rules satisfies { [K in keyof typeof rules]: { kind: K } };

export type LayingRuleName = keyof typeof rules;
export type RuleSpec = { [K in LayingRuleName]: z.infer<(typeof rules)[K]['schema']> }[LayingRuleName];
type AnyRule = LayingRule<LayingRuleName, z.ZodType<RuleSpec>>;

export const LAYING_RULES = Object.values(rules) as unknown as readonly AnyRule[];

const schemas = LAYING_RULES.map(({ schema }) => schema) as unknown as [
  (typeof rules)[LayingRuleName]['schema'],
  ...(typeof rules)[LayingRuleName]['schema'][],
];

/** A rule with its own options. */
const ruleSpecSchema = z.discriminatedUnion('kind', schemas);

export const layingSpecSchema = z.strictObject({
  rule: ruleSpecSchema,
  variation: variationSchema.default(NO_VARIATION),
});

export type LayingSpec = z.infer<typeof layingSpecSchema>;

export const layingRule = (rule: Pick<RuleSpec, 'kind'>): AnyRule => rules[rule.kind];

/** Another rule, with what both have options for as it was. */
export function switchRule(before: RuleSpec, kind: LayingRuleName): RuleSpec {
  const { schema, defaults } = layingRule({ kind });
  const kept = Object.entries(before).filter(([key]) => key !== 'kind' && key in defaults);
  const read = schema.safeParse({ ...defaults, ...Object.fromEntries(kept) });
  return read.success ? read.data : defaults;
}
