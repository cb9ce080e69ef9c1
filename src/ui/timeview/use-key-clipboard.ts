import { useRef, type KeyboardEvent } from 'react';
import { copyKeys, pasteKeys, type CopiedKeys } from '../../project/commands/keys';
import { keyMoment } from '../fields/HasKeys';
import { plural } from '../format';
import { useApp } from '../state/app-context';

/** Copies the chosen keys, and sets them again from the current time on, in their own lanes. */
export function useKeyClipboard() {
  const { document, session } = useApp();
  const copied = useRef<readonly CopiedKeys[]>([]);
  return (event: KeyboardEvent) => {
    if (!event.ctrlKey && !event.metaKey) return;
    const { keys, set, notify } = session.getState();
    const { edit, stored } = document.getState();
    if (event.key === 'c' && keys.length > 0) {
      copied.current = copyKeys(stored, keys);
      notify(`${plural(keys.length, 'key')} copied.`);
    } else if (event.key === 'v' && copied.current.length > 0) {
      const at = keyMoment(document.getState());
      edit((project) => {
        const pasted = pasteKeys(project, copied.current, at);
        set({ keys: pasted.chosen });
        return pasted.project;
      });
    } else return;
    event.preventDefault();
    event.stopPropagation();
  };
}
