import type { z } from 'zod';
import { specSchemaOf, type SpecOf } from '../math/kind';
import type { Pattern } from './pattern';
import { patterns } from './patterns';

export type PatternName = keyof typeof patterns;
export type PatternSpec = SpecOf<typeof patterns>;
type AnyPattern = Pattern<PatternName, z.ZodType<PatternSpec>>;

export const PATTERNS_OF_PIECES = Object.values(patterns) as unknown as readonly AnyPattern[];

export const patternSpecSchema = specSchemaOf(patterns);

export const patternOf = ({ kind }: Pick<PatternSpec, 'kind'>): AnyPattern => patterns[kind];
