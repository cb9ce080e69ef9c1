import type { Problem } from '../../core/math/result';
import { problemWords } from '../../engine/problem-words';
import { layingRule } from '../../core/layout/registry';
import { growthOf } from '../../core/motion/growth-registry';
import { growthSeconds } from '../../core/motion/motion-spec';
import { FRAME_RULES } from '../../core/frames/registry';
import type { Course, Run } from '../../project/schema';
import { degrees, metres, percentText, plural, radius, seconds, stretchWords, whole } from '../format';
import { quantityText } from '../fields/quantity';
import type { CourseView } from '../state/results-store';
import type { StepName } from '../state/steps';

/** What a problem is about, by the first word of its code. */
const STEP_OF: Readonly<Record<string, StepName>> = {
  curve: 'path',
  belt: 'path',
  guide: 'path',
  laying: 'laying',
  run: 'laying',
  strewn: 'dressing',
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
  { run, course }: { readonly run: Run; readonly course: Course },
  { segment, dressed }: { readonly segment: string; readonly dressed: string },
  result: CourseView | undefined,
  problems: readonly Problem[],
): string {
  const problem = problems.find(({ code }) => stepOf(code) === step);
  if (problem) return isUndrawn(problem) ? 'not drawn yet' : firstSentence(problemWords(problem));
  if (problems.length > 0 && !result) return '';
  switch (step) {
    case 'segment':
      return result
        ? `${segment}, ${metres(result.segment.length)}, ${plural(result.segment.ownRows, 'row')}`
        : segment;
    case 'path': {
      if (!result) return '';
      const { length, tightest } = result.path;
      const bend = tightest.radius === 0 ? 'sharp corner' : `tightest ${radius(tightest.radius)}`;
      return `${metres(length)}, ${tightest.radius === Infinity ? 'straight' : bend}`;
    }
    case 'laying': {
      if (!result) return '';
      const { count, stretch, gap, remainder, pitch } = result.layout.summary;
      const laid = `${whole(count)} laid`;
      const { tells, mayLeaveBare } = layingRule(course.laying.rule);
      if (pitch !== undefined) {
        const play = Math.abs(stretch.greatest - 1) < 5e-6 ? '' : ` (${percentText((stretch.greatest - 1) * 100)})`;
        return `${whole(count)} pinned, pitch ${metres(pitch)}${play}`;
      }
      if (remainder > 0 && !mayLeaveBare) return `${laid}, ${metres(remainder)} bare`;
      if (remainder < 0 && !mayLeaveBare) return `${laid}, ${metres(-remainder)} past the reach`;
      if (tells !== 'gap') return `${laid}, ${stretchWords(stretch.greatest)}`;
      const isEven = gap.greatest - gap.least < 5e-4;
      return `${laid}, gaps of ${isEven ? '' : `${metres(gap.least)} to `}${metres(gap.greatest)}`;
    }
    case 'bending': {
      const { frames, roll, turns, gauge } = run.shape;
      const rule = FRAME_RULES.find(({ kind }) => kind === frames.rule)!.label.toLowerCase();
      const extra = [
        roll && `roll ${degrees(roll)}`,
        turns && `${turns} turns`,
        gauge !== 1 && `gauge ${percentText(gauge * 100)}`,
      ];
      return [rule, ...extra.filter(Boolean)].join(', ');
    }
    case 'dressing':
      return dressed;
    case 'motion': {
      const { growth, speed } = run.motion;
      const { words } = growthOf(growth);
      const takes = growthSeconds(run.motion);
      const said = [
        takes > 0 && `${words} ${seconds(takes)}`,
        speed !== 0 && `travels at ${quantityText(speed, 'speed')}`,
      ];
      return said.filter(Boolean).join(', ') || words;
    }
  }
}
