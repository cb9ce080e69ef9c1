import { useApp } from '../state/app-context';

/** Holds the present state as A, to be compared with what comes of it. */
export function useHold(): () => void {
  const { document, session, results } = useApp();
  return () =>
    session.getState().set({
      held: {
        project: document.getState().project,
        results: results.getState().results,
        at: Date.now(),
        seen: 'both',
        edge: 0.5,
      },
    });
}
