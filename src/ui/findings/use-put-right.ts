import type { Finding } from '../../core/findings/registry';
import { sourceOf } from '../../engine/run-source';
import { applyRemedy } from '../../project/commands/apply-remedy';
import { changeCurve } from '../../project/commands/paths';
import { useApp, useNotify } from '../state/app-context';
import { useAsk } from '../state/use-ask';

const NOT_OPENED = 'This bend cannot be opened by itself: move its points further apart.';
const NOT_DONE = 'This cannot be put right by itself: move the points of the path there.';

/** Carries out a finding's remedy for a run, and tells when it does not get there. */
export function usePutRight(runId: string | undefined) {
  const notify = useNotify();
  const { document, session } = useApp();
  const ask = useAsk();
  return async ({ remedy, course }: Finding): Promise<void> => {
    const { project, edit } = document.getState();
    const run = project.runs.find(({ id }) => id === runId);
    session.getState().set({ finding: undefined });
    if (!run || !remedy) return;
    if (remedy.kind === 'pushOut') {
      const guide = project.guides.find(({ id }) => id === remedy.guide);
      const source = sourceOf(project, run);
      if (!guide || !source.ok) return;
      const { plugs } = project.paths.find(({ id }) => id === run.path) ?? {};
      const fixed = { start: plugs?.start !== undefined, end: plugs?.end !== undefined };
      const curve = await ask((api) => api.pushOut(source.value, guide, fixed));
      if (curve) edit((p) => changeCurve(p, run.path, (now) => (now === source.value.curve ? curve : now)));
      return;
    }
    const changed = applyRemedy(project, run.id, remedy, course ?? session.getState().course);
    if (changed) edit(() => changed);
    else notify(remedy.kind === 'roundBend' ? NOT_OPENED : NOT_DONE, { kind: 'warning' });
  };
}
