import { isObject, objectOf, type Loose } from './loose';

/** What a run did over its seconds becomes a growth, or a speed. */
function motionOf({ kind, seconds, speed = 0 }: Loose): unknown {
  return {
    growth: kind === 'stretchOut' ? { kind, seconds } : { kind: 'none' },
    ...{ easing: { kind: 'steady' }, from: 'start', station: 0, begins: 0, after: null },
    speed: kind === 'travel' ? speed : 0,
  };
}

const secondsOf = (run: unknown): number => Number(objectOf(objectOf(run).motion).seconds ?? 0);

/** Runs move in one time, which is as long as the longest of them took. */
export function toVersion4(file: unknown): unknown {
  const { project, ...beside } = objectOf(file);
  const { runs, ...kept } = objectOf(project);
  if (!Array.isArray(runs)) return { ...beside, project: { ...objectOf(project), version: 4 } };
  const longest = Math.max(0, ...runs.map(secondsOf).filter(Number.isFinite));
  const seconds = longest > 0 ? longest : 4;
  return {
    ...beside,
    project: {
      ...kept,
      version: 4,
      runs: runs.map((run: unknown) =>
        isObject(run) && isObject(run.motion) ? { ...run, motion: motionOf(run.motion) } : run,
      ),
      time: { seconds, framesPerSecond: 24, loops: false, played: null, markers: [] },
    },
  };
}
