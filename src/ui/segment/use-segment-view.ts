import { useEffect, useState } from 'react';
import type { Result } from '../../core/math/result';
import type { SegmentParts } from '../../engine/derive';
import type { SegmentView } from '../../engine/segment-view';
import { problemWords } from '../../engine/problem-words';
import type { Segment } from '../../project/schema';
import { useApp } from '../state/app-context';

type Asked = SegmentParts;

interface Shown {
  readonly of: Asked | undefined;
  readonly view: SegmentView | undefined;
  readonly problem: string | undefined;
}

/** The segment as it is prepared by the worker; keeps showing the last one that could be until the next is there. */
export function useSegmentView(segment: Segment | undefined): Omit<Shown, 'of'> & { readonly isBusy: boolean } {
  const { baker } = useApp();
  const [{ of, view, problem }, setShown] = useState<Shown>({ of: undefined, view: undefined, problem: undefined });
  const [source, prepare, finishes] = [segment?.source, segment?.prepare, segment?.finishes];
  useEffect(() => {
    if (!source || !prepare || !finishes) return;
    let isLive = true;
    const asked = { source, prepare, finishes };
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
  }, [baker, source, prepare, finishes]);
  return { view, problem, isBusy: of?.source !== source || of?.prepare !== prepare || of?.finishes !== finishes };
}
