import { z } from 'zod';
import { vec3Schema } from '../curve/path-spec';
import type { FrameRule } from './frame-rule';
import { rules } from './rules';

rules satisfies { [K in keyof typeof rules]: { kind: K } };

export type FrameRuleName = keyof typeof rules;

export const FRAME_RULES = Object.values(rules) as readonly FrameRule<FrameRuleName>[];

const angle = z.number().min(-1e4).max(1e4);

export const frameSpecSchema = z.strictObject({
  rule: z.enum(Object.keys(rules) as [FrameRuleName, ...FrameRuleName[]]),
  up: vec3Schema.refine((v) => Math.hypot(...v) > 1e-6, { error: 'the up direction has no length' }),
  /** Id of the guide that a run sits on, for the rule that asks for one. */
  guide: z.string().max(64).optional(),
  /** Rolls at the ends of an open path, from upright, radians; absent = as the rule leaves them. */
  ends: z.strictObject({ start: angle, end: angle }).optional(),
});

export type FrameSpec = z.infer<typeof frameSpecSchema>;

export const frameRule = (spec: FrameSpec): FrameRule<FrameRuleName> => rules[spec.rule];
