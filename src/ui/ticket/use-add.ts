import type { Addable } from '../../project/addables';
import { useKitActions } from '../kits/use-kit-actions';
import { useApp } from '../state/app-context';
import { useNewRun } from '../state/use-new-run';

/** Where what is added lies: on a path of its own, along that of the chosen run, or as one more course of it. */
export type AddPlace = 'own' | 'along' | 'course';

/** Adds what can be added. */
export function useAdd() {
  const { document, session } = useApp();
  const { addMade, addSet } = useNewRun();
  const { lay, layOnNewPath } = useKitActions();
  return ({ of }: Addable, where: AddPlace = 'own'): void => {
    const { runs } = document.getState().project;
    const current = runs.find(({ id }) => id === session.getState().run) ?? runs[0];
    const place = where === 'along' ? { path: current?.path } : where === 'course' ? { run: current?.id } : {};
    if ('set' in of) addSet(of.set, place);
    else if ('maker' in of) addMade(of.maker, place);
    else if (where !== 'own' && current) lay(of.kit, current.path, true);
    else layOnNewPath(of.kit);
  };
}
