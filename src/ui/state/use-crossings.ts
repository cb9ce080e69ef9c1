import { useEffect } from 'react';
import { crossingFinding } from '../../core/findings/checks/passes-through';
import { sourceOf } from '../../engine/run-source';
import { useApp, useProject, useResults, useSession } from './app-context';

/** Milliseconds that nothing has to change before somebody looks. */
const RESTS = 900;

/** Looks where runs pass through each other and themselves, whenever the project has come to rest. */
export function useCrossings(): void {
  const { baker, results } = useApp();
  const project = useProject((s) => s.stored);
  const isBusy = useResults((s) => s.busy.size > 0);
  const isMoving = useSession((s) => s.isDragging || s.isPlaying || s.time !== undefined);
  useEffect(() => {
    if (isBusy || isMoving) return;
    let isLive = true;
    const timer = setTimeout(() => {
      const asked = project.runs
        .filter(({ visible }) => visible)
        .flatMap((run) => {
          const source = sourceOf(project, run);
          return source.ok ? [{ id: run.id, source: source.value }] : [];
        });
      baker
        .call((api) => api.crossings(asked))
        .then(
          (found) => {
            if (!isLive) return;
            if (!found.ok) return results.setState({ crossings: new Map(), uncrossed: found.problems });
            const crossings = new Map(Object.entries(found.value).map(([id, all]) => [id, all.map(crossingFinding)]));
            results.setState({ crossings, uncrossed: [] });
          },
          () => undefined, // stopped, or crashed: what asks for more tells of it
        );
    }, RESTS);
    return () => {
      isLive = false;
      clearTimeout(timer);
    };
  }, [baker, results, project, isBusy, isMoving]);
}
