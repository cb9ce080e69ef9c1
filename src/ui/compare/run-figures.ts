import { SIDES_STRIDE } from '../../core/layout/side-stretch';
import { degrees, metres, percentText, signed } from '../format';
import { courseView, type RunResult } from '../state/results-store';

/** What there is to compare of a run. */
export interface RunFigures {
  /** Metres. */
  readonly length: number;
  readonly pieces: number;
  /** Share by which the pieces are longer than they were, in the mean. */
  readonly stretch: number;
  /** Radians a metre. */
  readonly twist: number;
  readonly triangles: number;
}

export function runFigures(result: RunResult, course?: string): RunFigures {
  const { layout, path } = courseView(result, course);
  const { reach, placements, sides } = layout;
  const stretch =
    placements.reduce((sum, _, i) => sum + sides[i * SIDES_STRIDE] - 1, 0) / Math.max(placements.length, 1);
  return {
    length: reach.to - reach.from,
    pieces: placements.length,
    stretch,
    twist: path.twist.deviation,
    triangles: result.courses.reduce((sum, { geometry }) => sum + geometry.triangles, 0),
  };
}

const ROWS: readonly (readonly [string, (figures: RunFigures) => number, (value: number) => string])[] = [
  ['Length', ({ length }) => length, metres],
  ['Pieces', ({ pieces }) => pieces, String],
  ['Stretch', ({ stretch }) => stretch, (share) => signed(percentText(share * 100), share)],
  ['Off even twist', ({ twist }) => twist, degrees],
  ['Triangles', ({ triangles }) => triangles, (count) => count.toLocaleString('en')],
];

/** A figure of both states in words, and whether it changed. */
export interface Compared {
  readonly name: string;
  readonly a: string;
  readonly b: string;
  readonly isSame: boolean;
}

export const compareFigures = (a: RunFigures | undefined, b: RunFigures | undefined): readonly Compared[] =>
  ROWS.map(([name, of, words]) => {
    const [was, is] = [a, b].map((figures) => (figures ? words(of(figures)) : 'not there')) as [string, string];
    return { name, a: was, b: is, isSame: was === is };
  });
