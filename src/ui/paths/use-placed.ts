import { useEffect, useRef, useState } from 'react';
import type { PlacedLine } from '../../engine/brought-file';
import { problemWords } from '../../engine/problem-words';
import type { Placing } from '../../formats/paths/place-paths';
import { useApp } from '../state/app-context';
import { CRASHED } from '../state/tell';

/** The lines of the file read last, placed in the worker: those of before until the new ones are there. `share` = how far. */
export function usePlaced(placing: Placing) {
  const { baker } = useApp();
  const [placed, setPlaced] = useState<{ readonly by: Placing; readonly lines: readonly PlacedLine[] }>();
  const [problem, setProblem] = useState<string>();
  const [share, setShare] = useState(0);
  const wanted = useRef(placing);
  const isBusy = useRef(false);
  useEffect(() => {
    wanted.current = placing;
    if (isBusy.current) return;
    isBusy.current = true;
    // One at a time: what was asked for in between is placed when it has ended, the last of it only.
    const place = async () => {
      for (let by: Placing | undefined; by !== wanted.current;) {
        by = wanted.current;
        setShare(0);
        const result = await baker.call((api) => api.placed(by, setShare));
        if (result.ok) setPlaced({ by, lines: result.value });
        setProblem(result.ok ? undefined : result.problems.map(problemWords).join(' '));
      }
    };
    place()
      .catch(() => setProblem(problemWords(CRASHED)))
      .finally(() => {
        isBusy.current = false;
      });
  }, [placing, baker]);
  return { lines: placed?.lines, problem, share: placed?.by === placing || problem ? undefined : share };
}
