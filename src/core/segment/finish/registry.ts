import type { Pattern } from './pattern';
import { patterns } from './patterns';

patterns satisfies { [K in keyof typeof patterns]: { kind: K } };

export type PatternName = keyof typeof patterns;

export const PATTERNS = Object.values(patterns) as readonly Pattern<PatternName>[];
export const PATTERN_NAMES = Object.keys(patterns) as [PatternName, ...PatternName[]];

export const patternOf = (kind: PatternName): Pattern<PatternName> => patterns[kind];
