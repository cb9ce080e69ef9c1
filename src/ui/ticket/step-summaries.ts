import type { Problem } from '../../core/math/result';
import { FRAME_RULES } from '../../core/frames/registry';
import type { Run } from '../../project/schema';
import { degrees, metres, percentText, plural, radius, seconds, stretchWords, whole } from '../format';
import type { RunResult } from '../state/results-store';
import type { StepName } from '../state/steps';

/** One line for each step that states its result. */
export function stepSummary(
  step: StepName,
  run: Run,
  segmentName: string,
  result: RunResult | undefined,
  problems: readonly Problem[],
): string {
  if (problems.length > 0 && (step === 'path' || !result)) return step === 'path' ? 'not drawn yet' : '';
  const view = result?.view;
  switch (step) {
    case 'segment':
      return view
        ? `${segmentName}, ${metres(view.segment.length)}, ${plural(view.segment.ownRows, 'row')}`
        : segmentName;
    case 'path': {
      if (!view) return '';
      const { length, tightest } = view.path;
      const bend = Number.isFinite(tightest.radius)
        ? `, tightest ${radius(tightest.radius)} at ${whole(tightest.station)} m`
        : ', straight';
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
