import type { z } from 'zod';
import { specSchemaOf, type SpecOf } from '../math/kind';
import type { LayingRule } from './laying-rule';
import { rules } from './rules';

export type LayingRuleName = keyof typeof rules;
export type RuleSpec = SpecOf<typeof rules>;
type AnyRule = LayingRule<LayingRuleName, z.ZodType<RuleSpec>>;

export const LAYING_RULES = Object.values(rules) as unknown as readonly AnyRule[];

export const ruleSpecSchema = specSchemaOf(rules);

export const layingRule = (rule: Pick<RuleSpec, 'kind'>): AnyRule => rules[rule.kind];

/** Another rule, with what both have options for as it was. */
export function switchRule(before: RuleSpec, kind: LayingRuleName): RuleSpec {
  const { schema, defaults } = layingRule({ kind });
  const kept = Object.entries(before).filter(([key]) => key !== 'kind' && key in defaults);
  const read = schema.safeParse({ ...defaults, ...Object.fromEntries(kept) });
  return read.success ? read.data : defaults;
}
