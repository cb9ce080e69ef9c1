import type { Kit } from './commands/kits';
import { addables } from './addables';
import { causeway } from './samples';
import { projectSchema } from './schema';
import { MAKERS } from '../core/segment/registry';
import { sets } from './sets';

const KIT: Kit = { id: 'own', project: { ...causeway(), name: 'My causeway' }, changedAt: 7 };
const labels = (kits: readonly Kit[], typed: string) => addables(kits, typed).map(({ label }) => label);

describe('addables', () => {
  it('are every kit, ready set and maker, kits first, each with a project that can be drawn', () => {
    const all = addables([KIT], '');
    expect(all).toHaveLength(1 + Object.keys(sets).length + MAKERS.length);
    expect(all[0].label).toBe('My causeway');
    expect(new Set(all.map(({ key }) => key)).size).toBe(all.length);
    for (const { label, project } of all) expect([label, projectSchema.safeParse(project).error]).toEqual([label, undefined]); // prettier-ignore
  });

  it('are found by words in any order, of their name, their hint or their group', () => {
    expect(labels([], 'rope')).toContain('Rope');
    expect(labels([], 'clips cable')).toEqual(['Cable with clips']);
    expect(labels([], 'STAIRS picket')).toContain('Post or picket');
    expect(labels([KIT], 'kits')).toContain('My causeway');
    expect(labels([KIT], '   ')).toHaveLength(addables([KIT], '').length);
    expect(labels([KIT], 'no such thing')).toEqual([]);
  });

  it('tell a kit that has changed from what it was: its picture is another one', () => {
    const [before, after] = [KIT, { ...KIT, changedAt: 8 }].map((kit) => addables([kit], 'My causeway')[0].key);
    expect(after).not.toBe(before);
  });
});
