/** @jest-environment ./scripts/page-environment.mjs */
import { act } from '@testing-library/react';
import { PATH_WRITERS } from '../../formats/paths/registry';
import { saltgrassLanding } from '../../project/samples';
import { emptyProject } from '../../project/schema';
import { KEY_LIST } from '../keys/key-list';
import { app } from '../testing/app';
import { useCommands } from './use-commands';

jest.mock('../../engine/compute-client', () => ({ Stopped: class Stopped extends Error {} }));

/** The landing, or another project, and its commands by their labels. */
function screen(project = saltgrassLanding()) {
  const services = app({}, project);
  const commands = () => services.hook(useCommands).current; // as the palette that has just been opened
  const named = (label: string | RegExp) => {
    const found = commands().filter((own) => (typeof label === 'string' ? own.label === label : label.test(own.label))); // prettier-ignore
    if (found.length !== 1) throw new Error(`${found.length} commands are called ${String(label)}`);
    return found[0];
  };
  const run = (label: string | RegExp) => {
    const found = named(label);
    act(() => found.act());
  };
  return { ...services, commands, named, run, session: () => services.session.getState() };
}

describe('commands', () => {
  it('are each there once, and say where they live', () => {
    const { commands } = screen();
    const keys = commands().map(({ label, where }) => `${label} ${where}`);
    expect(new Set(keys).size).toBe(keys.length);
    for (const { where } of commands()) expect(where).toMatch(/^(Anywhere|Header|Runs|Ticket|Guides|Bent view|Straight view|A and B)/); // prettier-ignore
  });

  it('have the keys that the list of keys tells', () => {
    const { commands } = screen();
    const told = KEY_LIST.flatMap(({ keys }) => keys.flatMap(([key]) => key.split(', ')));
    for (const { keyName } of commands()) if (keyName) expect(told).toContain(keyName);
  });

  it('of an empty project are those that need no run', () => {
    const { commands, named } = screen(emptyProject('Untitled'));
    expect(commands().map(({ label }) => label)).toEqual(expect.arrayContaining(['Undo', 'Add: Rope', 'Add a guide: Post', 'New project', 'Open the sample'])); // prettier-ignore
    expect(commands().filter(({ where }) => where.startsWith('Ticket'))).toEqual([]);
    expect(() => named('Play, or stop')).toThrow('0 commands');
  });

  it('take no key that a browser has', () => {
    // Going to an end of a page, bookmark, find, address, new window and tab, close, print, reload, save: common to browsers (common practice, no source).
    const theirs = /^(Ctrl (D|F|L|N|T|W|P|R|S|O|J|H|U)|F1|F3|F5|F6|F7|F11|F12|Home|End|Page .*|Alt .*)$/;
    for (const { keys } of KEY_LIST)
      for (const [key] of keys) for (const own of key.split(', ')) expect(own).not.toMatch(theirs);
  });
});

describe('what commands do to the path', () => {
  const pathOf = ({ project }: ReturnType<typeof screen>) => project().paths.find(({ id }) => id === 'causeway-line')!;

  it('is its kind, closing, reversing and going on', () => {
    const own = screen();
    const before = pathOf(own).curve.points.map(({ position }) => position);
    own.run('Path: Reverse');
    expect(pathOf(own).curve.points.map(({ position }) => position)).toEqual(before.toReversed());
    own.run('Close the path');
    expect(pathOf(own).curve.closed).toBe(true);
    own.run('Kind of path: With handles');
    expect(pathOf(own).curve.kind).toBe('handles');
    own.run('Continue drawing the path');
    expect(own.session().tool).toBe('pen');
  });

  it('is all its points at once: one more in every leg', () => {
    const own = screen();
    const many = pathOf(own).curve.points.length;
    own.run('All points: Put a point into every leg');
    expect(pathOf(own).curve.points.length).toBe(2 * many - 1);
  });

  it('is its ends: level ones lie at one height', () => {
    const own = screen();
    own.run(/^Make the end level/);
    const [a, b] = pathOf(own).curve.points.slice(-2);
    expect(b.position[1]).toBeCloseTo(a.position[1], 9);
    own.run('Plug the end into Hut socket');
    expect(pathOf(own).plugs?.end).toEqual({ guide: 'hut-socket' });
    own.run('Let the end go');
    expect(pathOf(own).plugs?.end).toBeUndefined();
  });

  it('is cutting and deleting where a point is chosen, and not elsewhere', () => {
    const own = screen();
    expect(() => own.named('Path: Cut at the chosen point')).toThrow('0 commands');
    act(() => own.session().set({ point: 3 }));
    const [paths, points] = [own.project().paths.length, pathOf(own).curve.points.length];
    own.run('Delete the chosen points');
    expect(pathOf(own).curve.points.length).toBe(points - 1);
    act(() => own.session().set({ point: 3 }));
    own.run('Path: Cut at the chosen point');
    expect(own.project().paths.length).toBe(paths + 1);
  });

  it('is writing it in every format that there is', () => {
    const { named } = screen();
    for (const { label } of PATH_WRITERS) expect(named(`Path: Write ${label}`).where).toBe('Ticket, Path, More');
  });
});

describe('what commands do to runs and guides', () => {
  it('is choosing, hiding and copying runs, and hiding courses of the chosen one', () => {
    const own = screen();
    own.run('Choose Shore fence');
    expect(own.session().run).toBe('shore-fence-run');
    own.run('Shore fence: Hide');
    expect(own.project().runs.find(({ id }) => id === 'shore-fence-run')!.visible).toBe(false);
    own.run('Posts: Lock');
    expect(own.project().runs.find(({ id }) => id === 'shore-fence-run')!.courses[0].locked).toBe(true);
    const many = own.project().runs.length;
    own.run('Shore fence: Duplicate with a path of its own');
    expect(own.project().runs.length).toBe(many + 1);
  });

  it('is adding: runs on paths of their own, along that of the chosen one, what dresses it, and guides', () => {
    const own = screen();
    own.run('Add: Rope');
    expect(own.project().runs.at(-1)).toMatchObject({ name: 'Rope' });
    expect(own.session().tool).toBe('pen');
    own.run('Choose Causeway');
    own.run('Add on the path of Causeway: Rope');
    expect(own.project().runs.at(-1)!.path).toBe('causeway-line');
    own.run('Choose Causeway');
    own.run('Dress Causeway: Sign');
    expect(own.project().runs[0].courses.at(-1)!.dresses).toBeDefined();
    own.run('Add a guide: Ball');
    const guide = own.project().guides.at(-1)!;
    expect([guide.name, own.session().guide]).toEqual(['Ball', guide.id]);
    own.run('Ball: Delete');
    expect(own.project().guides.some(({ id }) => id === guide.id)).toBe(false);
  });
});

describe('what commands do to what is seen', () => {
  it('is tools, snapping, lanes, and switches that say which way they go', () => {
    const own = screen();
    own.run('Tool: Pen');
    expect(own.session().tool).toBe('pen');
    own.run('Snap to a grid');
    expect(own.session().snapping.grid).toBeGreaterThan(0);
    own.run('Do not snap to a grid');
    expect(own.session().snapping.grid).toBeNull();
    own.run('Show frames as a comb');
    expect(own.session().comb).toBe(true);
    own.run(/^Hide the lane: Tightness/);
    own.run(/^Show the lane: Tightness/);
    expect(own.lanes.getState().shown.at(-1)!.kind).toBe('tightness');
  });

  it('is views, cameras, riding along, and how it is drawn', () => {
    const own = screen();
    own.run('View: Above');
    expect(own.session().view).toBe('above');
    own.run('Look from Beacon');
    expect(own.session()).toMatchObject({ view: 'free', lookFrom: { count: 1 } });
    own.run('Look without perspective');
    expect(own.session().isFlat).toBe(true);
    own.run('Ride along Causeway');
    expect(own.session()).toMatchObject({ isFlat: false, ride: { isHeld: false, station: 0 } });
    own.run('End the ride');
    expect(own.session().ride).toBeUndefined();
    own.run('Picture: Lines');
    expect(own.picture.getState().picture).toBe('lines');
    own.run('Draw coarsely at rest, too');
    expect(own.picture.getState().isFine).toBe(false);
  });

  it('is a held state beside the present one, and the time', () => {
    const own = screen();
    own.run('Hold this state to compare');
    for (const [label, seen] of [
      ['held', 'A'],
      ['present', 'B'],
    ] as const) {
      // prettier-ignore
      own.run(`See the ${label} state`);
      expect(own.session().held?.seen).toBe(seen);
    }
    own.run('Let the held state go');
    expect(own.session().held).toBeUndefined();
    own.run('Go to the start of the time');
    expect(own.session().time).toBe(0);
    own.run('Play, or stop');
    expect(own.session().isPlaying).toBe(true);
    own.run('Undo'); // nothing was changed: nothing happens
    expect(own.project()).toEqual(saltgrassLanding());
  });
});
