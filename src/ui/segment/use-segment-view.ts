import { useCallback, useEffect, useRef, useState } from 'react';
import type { SegmentParts } from '../../engine/ready-segment';
import type { SegmentView } from '../../engine/segment-view';
import { problemWords } from '../../engine/problem-words';
import { Stopped } from '../../engine/compute-client';
import type { Segment } from '../../project/schema';
import { useApp } from '../state/app-context';
import { CRASHED } from '../state/tell';

interface Shown {
  readonly of: SegmentParts | undefined;
  readonly view: SegmentView | undefined;
  readonly problem: string | undefined;
}

export interface SegmentPreparing extends Omit<Shown, 'of'> {
  readonly isBusy: boolean;
  /** How far it is, 0 to 1. */
  readonly share: number;
  readonly stop: () => void;
}

const STOPPED = 'Preparing was stopped; what you see is from before. Change something, and it starts again.';

/** The segment as it is prepared by the worker; keeps showing the last one that could be until the next is there. */
export function useSegmentView(segment: Segment | undefined): SegmentPreparing {
  const { baker } = useApp();
  const [{ of, view, problem }, setShown] = useState<Shown>({ of: undefined, view: undefined, problem: undefined });
  const [share, setShare] = useState(0);
  const controller = useRef<AbortController>(undefined);
  const [source, prepare, finishes] = [segment?.source, segment?.prepare, segment?.finishes];
  useEffect(() => {
    if (!source || !prepare || !finishes) return;
    let isLive = true;
    const asked = { source, prepare, finishes };
    const show = (next: Partial<Shown>) =>
      isLive && setShown((before) => ({ view: before.view, problem: undefined, ...next, of: asked }));
    const own = (controller.current = new AbortController());
    const tell = (done: number) => isLive && setShare(done);
    baker
      .call((api) => api.segment(asked, tell), own.signal)
      .then(
        (result) => show(result.ok ? { view: result.value } : { problem: problemWords(result.problems[0]) }),
        (error) =>
          show({
            problem: error instanceof Stopped ? STOPPED : problemWords(CRASHED),
          }),
      )
      .finally(() => isLive && setShare(0));
    return () => {
      isLive = false;
    };
  }, [baker, source, prepare, finishes]);
  const stop = useCallback(() => controller.current?.abort(), []);
  const isBusy = of?.source !== source || of?.prepare !== prepare || of?.finishes !== finishes;
  return { view, problem, isBusy, share, stop };
}
