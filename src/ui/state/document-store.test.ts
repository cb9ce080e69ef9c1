import { keysOf, setKey } from '../../project/commands/keys';
import { renameProject, setStep } from '../../project/commands/runs';
import { causeway } from '../../project/samples';
import { emptyProject } from '../../project/schema';
import { createDocumentStore } from './document-store';

describe('the document store', () => {
  const rename = (store: ReturnType<typeof createDocumentStore>, name: string) =>
    store.getState().edit((project) => renameProject(project, name));

  it('takes edits back one by one and brings them again', () => {
    const store = createDocumentStore();
    rename(store, 'One');
    rename(store, 'Two');
    const { undo, redo } = store.temporal.getState();
    undo();
    expect(store.getState().project.name).toBe('One');
    undo();
    expect(store.getState().project.name).toBe('Untitled');
    redo();
    redo();
    expect(store.getState().project.name).toBe('Two');
  });

  it('makes one step of a gesture, however many edits it has', () => {
    const store = createDocumentStore();
    store.getState().beginGesture();
    for (const name of ['A', 'B', 'C', 'D']) rename(store, name);
    store.getState().endGesture();
    rename(store, 'After');
    const { undo } = store.temporal.getState();
    undo();
    expect(store.getState().project.name).toBe('D');
    undo();
    expect(store.getState().project.name).toBe('Untitled');
  });

  it('remembers nothing of an edit that changed nothing, and forgets the past of another project', () => {
    const store = createDocumentStore();
    store.getState().edit((project) => project);
    expect(store.temporal.getState().pastStates).toHaveLength(0);
    rename(store, 'One');
    store.getState().open(emptyProject('Other'));
    expect(store.temporal.getState().pastStates).toHaveLength(0);
  });

  describe('over time', () => {
    const run = causeway().runs[0].id;
    const of = ['runs', run, 'shape', 'roll'];
    const opened = () => {
      const store = createDocumentStore();
      store.getState().open({ ...causeway(), keyed: [] });
      return store;
    };
    const rollNow = (store: ReturnType<typeof createDocumentStore>) => store.getState().project.runs[0].shape.roll;
    const roll = (store: ReturnType<typeof createDocumentStore>, value: number) =>
      store.getState().edit((project) => setStep(project, run, 'shape', { roll: value }));

    it('shows the project as it is at the moment, and keeps it as it is at all times', () => {
      const store = opened();
      store.getState().goTo(0);
      store.getState().edit((project) => setKey(project, of, 0));
      store.getState().goTo(2);
      roll(store, 1);
      store.getState().goTo(1);
      expect(rollNow(store)).toBe(0.5);
      expect(store.getState().stored.runs[0].shape.roll).toBe(0);
      expect(keysOf(store.getState().stored, of).map(({ at, value }) => [at, value])).toEqual([[0, 0], [2, 1]]); // prettier-ignore
      store.getState().goTo(null);
      expect(rollNow(store)).toBe(1);
    });

    it('sets keys at whole frames, also while it plays, and takes them back as shown', () => {
      const store = opened();
      store.getState().edit((project) => setKey(project, of, 0));
      store.getState().goTo(1.01); // between two of 24 frames a second
      store.getState().beginGesture();
      for (const value of [0.2, 0.6, 0.9]) roll(store, value);
      store.getState().endGesture();
      expect(keysOf(store.getState().stored, of).map(({ at }) => at)).toEqual([0, 1]);
      expect(rollNow(store)).toBe(0.9);
      store.temporal.getState().undo();
      expect(rollNow(store)).toBe(0);
      store.temporal.getState().redo();
      expect(rollNow(store)).toBe(0.9);
    });
  });
});
