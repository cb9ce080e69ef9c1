import { setClosed } from '../../project/commands/paths';
import { raiseStairs } from '../../project/commands/raise-stairs';
import type { Path } from '../../project/schema';
import { useApp } from '../state/app-context';

/** Puts the pen away, with the path closed or as it is; a stair that was drawn on the ground climbs. */
export function usePenEnd(path: Path | undefined): (how: 'close' | 'end') => void {
  const { document, session } = useApp();
  return (how) => {
    const { edit, project } = document.getState();
    if (how === 'close' && path) edit((old) => setClosed(old, path.id, true));
    else if (path && raiseStairs(project, path.id) !== project) {
      edit((old) => raiseStairs(old, path.id));
      session.getState().notify('The stair climbs two in three. Drag its points up or down with Shift.');
    }
    session.getState().set({ tool: 'shape', ...(how === 'close' && { point: undefined }) });
  };
}
