import type { SmallSample } from '../../project/samples';
import { useApp, useNotify } from '../state/app-context';

/** Opens a small sample, which says what to try; whether it could be opened. */
export function useOpenSample() {
  const { keeper, tell, session } = useApp();
  const notify = useNotify();
  return async ({ project, tryThis }: SmallSample): Promise<boolean> => {
    if (!tell.problems(await keeper.create(project))) return false;
    session.getState().frame('run');
    notify(tryThis, { stays: true, action: { label: 'Got it', act: () => undefined } });
    return true;
  };
}
