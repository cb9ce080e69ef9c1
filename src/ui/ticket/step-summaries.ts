import type { Problem } from '../../core/math/result';
import { problemWords } from '../../engine/problem-words';
import { FRAME_RULES } from '../../core/frames/registry';
import type { Run } from '../../project/schema';
import { degrees, metres, percentText, plural, radius, seconds, stretchWords, whole } from '../format';
import type { RunResult } from '../state/results-store';
import type { StepName } from '../state/steps';

/** What a problem is about, by the first word of its code. */
const STEP_OF: Readonly<Record<string, StepName>> = {
  curve: 'path',
  belt: 'path',
  guide: 'path',
  laying: 'laying',
  run: 'laying',
};

/** The step that a problem belongs to: what is neither the path's nor the laying's is the segment's. */
const stepOf = (code: string): StepName => STEP_OF[code.slice(0, code.indexOf('.'))] ?? 'segment';

/** A path that has no curve only because its points are still to come. */
export const isUndrawn = ({ code, facts }: Problem): boolean =>
  code === 'curve.too-few-points' && Number(facts.given) < 2;

const firstSentence = (text: string): string => /^.*?[.?!](?=\s|$)/.exec(text)?.[0].slice(0, -1) ?? text;

/** One line for each step that states its result. */
export function stepSummary(
  step: StepName,
  run: Run,
  segmentName: string,
  result: RunResult | undefined,
  problems: readonly Problem[],
): string {
  const problem = problems.find(({ code }) => stepOf(code) === step);
  if (problem) return isUndrawn(problem) ? 'not drawn yet' : firstSentence(problemWords(problem));
  if (problems.length > 0 && !result) return '';
  const view = result?.view;
  switch (step) {
    case 'segment':
      return view
        ? `${segmentName}, ${metres(view.segment.length)}, ${plural(view.segment.ownRows, 'row')}`
        : segmentName;
    case 'path': {
      if (!view) return '';
      const { length, tightest } = view.path;
      const bend =
        tightest.radius === Infinity
          ? ', straight'
          : `, ${tightest.radius === 0 ? 'sharp corner' : `tightest ${radius(tightest.radius)}`} at ${whole(tightest.station)} m`;
      return metres(length) + bend;
    }
    case 'laying': {
      if (!view) return '';
      const { placements, stretch, gap, remainder } = view.laying;
      const count = `${whole(placements.length)} laid`;
      if (remainder > 0) return `${count}, ${metres(remainder)} bare`;
      if (remainder < 0) return `${count}, ${metres(-remainder)} past the reach`;
      if (run.laying.rule === 'fillGaps') return `${count}, gaps of ${metres(gap)}`;
      return `${count}, ${stretchWords(stretch)}`;
    }
    case 'bending': {
      const { frames, roll, turns, gauge } = run.bending;
      const rule = FRAME_RULES.find(({ kind }) => kind === frames.rule)!.label.toLowerCase();
      const extra = [
        roll && `roll ${degrees(roll)}`,
        turns && `${turns} turns`,
        gauge !== 1 && `gauge ${percentText(gauge * 100)}`,
      ];
      return [rule, ...extra.filter(Boolean)].join(', ');
    }
    case 'motion':
      return run.motion.growth === 'none' ? 'none' : `stretches out in ${seconds(run.motion.seconds)}`;
  }
}
