import { emptyProject } from '../../project/schema';
import { renameProject } from '../../project/commands/runs';
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
});
