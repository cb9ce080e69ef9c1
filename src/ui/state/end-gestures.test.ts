/** @jest-environment ./scripts/page-environment.mjs */
import { renameProject } from '../../project/commands/runs';
import { createDocumentStore } from './document-store';
import { endGestures } from './end-gestures';

describe('endGestures', () => {
  it.each(['pointerup', 'pointercancel', 'lostpointercapture', 'blur'])(
    'lets undo go back one act after a drag that ended by %s alone',
    (name) => {
      const store = createDocumentStore();
      const stop = endGestures(store);
      const rename = (to: string) => store.getState().edit((project) => renameProject(project, to));
      store.getState().beginGesture();
      for (const to of ['A', 'B']) rename(to);
      window.dispatchEvent(new Event(name));
      for (const to of ['One', 'Two']) rename(to);
      stop();
      const { undo } = store.temporal.getState();
      for (const wanted of ['One', 'B', 'Untitled']) {
        undo();
        expect(store.getState().project.name).toBe(wanted);
      }
    },
  );
});
