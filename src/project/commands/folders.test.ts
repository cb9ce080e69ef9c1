import { saltgrassLanding } from '../samples';
import { openProject } from '../project-file';
import { unwrap } from '../../core/testing/runs';
import { foldered, freeFolder, moveItems, putInFolder, renameFolder, showFolder } from './folders';

const landing = { ...saltgrassLanding() };
const [a, b, c, d] = landing.runs.map(({ id }) => id);
const order = (project: typeof landing) => project.runs.map(({ id }) => id);
const shown = (project: typeof landing) => foldered(project.runs).map((row) => ('item' in row ? row.item.id : `${row.folder}: ${row.items.map(({ id }) => id).join()}`)); // prettier-ignore

describe('folders', () => {
  it('hold rows where the first of them is, whatever lies between', () => {
    const made = putInFolder(landing, 'runs', [b, d], 'Ropes');
    expect(shown(made).slice(0, 3)).toEqual([a, `Ropes: ${b},${d}`, c]);
    expect(order(made)).toEqual(order(landing));
    expect(unwrap(openProject(JSON.parse(JSON.stringify(made))))).toBeDefined();
  });

  it('are renamed, hidden and left, and gone when nothing lies in them', () => {
    const made = renameFolder(putInFolder(landing, 'runs', [b, d], 'Ropes'), 'runs', 'Ropes', 'Lines');
    expect(freeFolder(made, 'runs')).toBe('Folder');
    expect(freeFolder(putInFolder(made, 'runs', [a], 'Folder'), 'runs')).toBe('Folder 2');
    const hidden = showFolder(made, 'runs', 'Lines', false);
    expect(hidden.runs.filter(({ visible }) => !visible).map(({ id }) => id)).toEqual([b, d]);
    const left = putInFolder(made, 'runs', [b, d], undefined);
    expect(shown(left)).toEqual(order(landing));
    expect(left.runs.every((run) => !('folder' in run))).toBe(true);
  });

  it('take in what is moved beside one of theirs; several move together, up and down', () => {
    const made = putInFolder(landing, 'runs', [c], 'Ropes');
    const down = moveItems(made, 'runs', [a, b], c);
    expect(order(down).slice(0, 3)).toEqual([c, a, b]);
    expect(down.runs.slice(0, 3).map(({ folder }) => folder)).toEqual(['Ropes', 'Ropes', 'Ropes']);
    const up = moveItems(made, 'runs', [d, c], a);
    expect(order(up).slice(0, 3)).toEqual([c, d, a]);
    expect(up.runs[0].folder).toBeUndefined();
    expect(moveItems(made, 'runs', [a, b], b)).toBe(made);
    expect(moveItems(made, 'runs', [a], 'nobody')).toBe(made);
  });
});
