import { useEffect, useState } from 'react';
import type { Result } from '../../core/math/result';
import type { SegmentView } from '../../engine/segment-view';
import { problemWords } from '../../engine/problem-words';
import type { Segment } from '../../project/schema';
import { useApp } from '../state/app-context';

type Asked = Pick<Segment, 'source' | 'prepare'>;

interface Shown {
  readonly of: Asked | undefined;
  readonly view: SegmentView | undefined;
  readonly problem: string | undefined;
}

/** The segment as it is prepared by the worker; keeps showing the last one that could be until the next is there. */
export function useSegmentView(segment: Segment | undefined): Omit<Shown, 'of'> & { readonly isBusy: boolean } {
  const { baker } = useApp();
  const [{ of, view, problem }, setShown] = useState<Shown>({ of: undefined, view: undefined, problem: undefined });
  const [source, prepare] = [segment?.source, segment?.prepare];
  useEffect(() => {
    if (!source || !prepare) return;
    let isLive = true;
    const asked = { source, prepare };
    const show = (next: Partial<Shown>) =>
      isLive && setShown((before) => ({ view: before.view, problem: undefined, ...next, of: asked }));
    baker
      .call((api) => api.segment(asked) as Promise<Result<SegmentView>>)
      .then(
        (result) => show(result.ok ? { view: result.value } : { problem: problemWords(result.problems[0]!) }),
        () => show({ problem: problemWords({ code: 'worker.crashed', path: [], facts: {} }) }),
      );
    return () => {
      isLive = false;
    };
  }, [baker, source, prepare]);
  return { view, problem, isBusy: of?.source !== source || of?.prepare !== prepare };
}
