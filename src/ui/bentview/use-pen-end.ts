import { setClosed } from '../../project/commands/paths';
import type { Path } from '../../project/schema';
import { useApp } from '../state/app-context';

/** Puts the pen away, with the path closed or as it is. */
export function usePenEnd(path: Path | undefined): (how: 'close' | 'end') => void {
  const { document, session } = useApp();
  return (how) => {
    if (how === 'close' && path) document.getState().edit((project) => setClosed(project, path.id, true));
    session.getState().set({ tool: 'shape', ...(how === 'close' && { point: undefined }) });
  };
}
