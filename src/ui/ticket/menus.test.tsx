/** @jest-environment ./scripts/page-environment.mjs */
import { act, fireEvent, render, screen } from '@testing-library/react';
import { buildArcTable } from '../../core/curve/arc-table';
import type { CurveSpec } from '../../core/curve/registry';
import { compiled } from '../../core/testing/runs';
import { saltgrassLanding } from '../../project/samples';
import { guideMenu } from '../guides/guide-menu';
import { useGuideActions } from '../guides/use-guide-actions';
import { pieceMenu } from '../straightview/piece-menu';
import { app, said } from '../testing/app';
import { RowMenu, type RowMenuItem } from './RowMenu';
import { endOver, useEndActions } from './use-end-actions';
import { usePathMenu } from './use-path-menu';
import { useRunActions } from './use-run-actions';
import { useRunMenu } from './use-run-menu';

jest.mock('../../engine/compute-client', () => ({ Stopped: class Stopped extends Error {} }));

const names = (items: readonly RowMenuItem[]) => items.flatMap((item) => (item === 'line' ? [] : [item.label]));

/** Does what a menu says under a name; it must be there once, and be on. */
const choose = (items: readonly RowMenuItem[], label: string) => {
  const found = items.filter((item) => item !== 'line' && item.label === label);
  if (found.length !== 1) throw new Error(`${found.length} of “${label}” in: ${names(items).join('; ')}`);
  const [item] = found as Exclude<RowMenuItem, 'line'>[];
  if (item.isOff) throw new Error(`“${label}” is off`);
  act(item.act);
};

const lengthOf = (curve: unknown) => buildArcTable(compiled(curve as CurveSpec)).length;

describe('a menu', () => {
  it('closes before it acts, says hints or keys, and does nothing where an entry is off', () => {
    const done: string[] = [];
    const items: RowMenuItem[] = [
      { label: 'Reverse', hint: 'Run the other way', act: () => done.push('reverse') },
      'line',
      { label: 'Duplicate', hotkey: 'D', act: () => done.push('duplicate') },
      { label: 'Delete', isOff: true, act: () => done.push('delete') },
    ];
    render(<RowMenu items={items} place={{ x: 10, y: 20 }} onClose={() => done.push('closed')} />);
    expect(screen.getByText('Run the other way')).toBeTruthy();
    expect(screen.getByText('D')).toBeTruthy();
    fireEvent.click(screen.getByText('Reverse'));
    expect(screen.getByText('Delete').closest('[role="menuitem"]')!.getAttribute('aria-disabled')).toBe('true');
    expect(done).toEqual(['closed', 'reverse']);
  });
});

describe('the menu of a path', () => {
  const own = (id = 'mooring-line-path') => {
    const services = app({}, saltgrassLanding());
    const path = () => services.project().paths.find((each) => each.id === id)!;
    return { ...services, path, menu: () => services.hook(usePathMenu).current(path()) };
  };

  it('reverses and mirrors: twice is as it was, and no length changes', () => {
    const { path, menu } = own();
    const before = path().curve;
    for (const label of ['Reverse', 'Mirror along x', 'Mirror along z']) {
      choose(menu(), label);
      expect(path().curve).not.toEqual(before);
      expect(lengthOf(path().curve)).toBeCloseTo(lengthOf(before), 6);
      choose(menu(), label);
      path().curve.points.forEach(({ position }, i) =>
        position.forEach((c, k) => expect(c).toBeCloseTo(before.points[i].position[k], 9)),
      );
    }
  });

  it('cuts at the chosen point into two that are as long together, and joins them again', () => {
    const { path, menu, project, session } = own('causeway-line');
    const whole = lengthOf(path().curve);
    const count = project().paths.length;
    expect(() => choose(menu(), 'Cut at the chosen point')).toThrow('is off');
    act(() => session.getState().set({ point: 3 }));
    choose(menu(), 'Cut at the chosen point');
    expect(session.getState().point).toBeUndefined();
    const parts = project().paths.filter(({ name }) => name.startsWith(path().name));
    expect([project().paths.length, parts.length]).toEqual([count + 1, 2]);
    expect(lengthOf(parts[0].curve) + lengthOf(parts[1].curve)).toBeCloseTo(whole, 3);
    choose(menu(), `Join with ${parts.find(({ id }) => id !== path().id)!.name}`);
    expect(project().paths.length).toBe(count);
    expect(lengthOf(path().curve)).toBeCloseTo(whole, 1);
  });

  it('says why a path cannot be cut at its end, and changes nothing', () => {
    const { menu, project, session } = own();
    const before = project();
    act(() => session.getState().set({ point: 0 }));
    choose(menu(), 'Cut at the chosen point');
    expect(said()).toContain('Choose a point between the ends');
    expect(project()).toBe(before);
  });
});

describe('what is done to ends', () => {
  const at = (kind: string) => {
    const services = app({}, saltgrassLanding());
    const path = () => services.project().paths.find(({ id }) => id === kind)!;
    return { ...services, path };
  };

  it('begins with a tenth of the path, in two figures, or with a metre where there is no path', () => {
    expect([endOver(128.27), endOver(0.0347), endOver(0)]).toEqual([13, 0.0035, 1]);
  });

  it('makes a path longer by what is asked', () => {
    const { done, path } = at('mooring-line-path');
    const before = lengthOf(path().curve);
    done(useEndActions, ({ extend }) => extend(path(), 'end', 1.25));
    expect(lengthOf(path().curve)).toBeCloseTo(before + 1.25, 2);
  });

  it('tells that a path is too short for it, and leaves that as it is', () => {
    const { done, path, project } = at('mooring-line-path');
    const before = project();
    done(useEndActions, ({ make }) => make(path(), 'start', 'ahead', 500));
    expect(said()).toContain('too short for a straight end of that length');
    expect(project()).toBe(before);
  });
});

describe('the menu of a run', () => {
  const own = () => {
    const services = app({}, saltgrassLanding());
    const run = (id: string) => services.project().runs.find((each) => each.id === id)!;
    const menu = (id: string) => services.hook(() => useRunMenu(useRunActions())).current(run(id));
    return { ...services, run, menu };
  };

  it('is about all that are chosen, where the one that is meant is among them', () => {
    const { session, run, menu } = own();
    act(() => session.getState().set({ run: 'bilge-hose-run', moreRuns: ['lamp-cord-run'] }));
    choose(menu('lamp-cord-run'), 'Hide');
    expect(['bilge-hose-run', 'lamp-cord-run', 'honeysuckle-run'].map((id) => run(id).visible)).toEqual([false, false, true]); // prettier-ignore
    choose(menu('honeysuckle-run'), 'Hide');
    expect([run('honeysuckle-run').visible, run('mooring-line-run').visible]).toEqual([false, true]);
  });

  it('puts runs into a folder and takes them out, and knows of a kit only where there is one', () => {
    const { session, run, menu } = own();
    act(() => session.getState().set({ run: 'bilge-hose-run', moreRuns: ['lamp-cord-run'] }));
    expect(names(menu('bilge-hose-run'))).not.toContain('Take out of its folder');
    choose(menu('bilge-hose-run'), 'Put into a new folder');
    expect(run('bilge-hose-run').folder).toBe(run('lamp-cord-run').folder);
    expect(run('bilge-hose-run').folder).toBeDefined();
    choose(menu('lamp-cord-run'), 'Take out of its folder');
    expect(run('bilge-hose-run').folder).toBeUndefined();
    expect(names(menu('bilge-hose-run'))).not.toContain('Let go of its kit');
  });

  it('copies a run mirrored: on a path of its own, as long as the other', () => {
    const { menu, project } = own();
    const before = project();
    choose(menu('mooring-line-run'), 'Mirrored copy along x');
    const made = project().runs.find(({ id }) => !before.runs.some((each) => each.id === id))!;
    const path = (id: string) => project().paths.find((each) => each.id === id)!.curve;
    expect(made.path).not.toBe('mooring-line-path');
    expect(lengthOf(path(made.path))).toBeCloseTo(lengthOf(path('mooring-line-path')), 6);
  });
});

describe('the menus of pieces and guides', () => {
  it('hides a piece, shows it, lays it as the others; a locked course is left alone', () => {
    const { document, project } = app({}, saltgrassLanding());
    const run = () => project().runs[0];
    const menu = (locked = false) => pieceMenu(document.getState().edit, run(), { ...run().courses[0], locked }, 4);
    choose(menu(), 'Hide piece 5');
    expect(run().courses[0].laying.pieces).toEqual([expect.objectContaining({ piece: 4, hidden: true })]);
    expect(() => choose(menu(true), 'Show piece 5')).toThrow('is off');
    choose(menu(), 'Lay it as the others');
    expect(run().courses[0].laying.pieces).toEqual([]);
    expect(names(menu())).toEqual(['Hide piece 5']);
  });

  it('hides and deletes guides that are chosen together, and lets go of what is gone', () => {
    const { hook, project, session } = app({}, saltgrassLanding());
    const guide = (id: string) => project().guides.find((each) => each.id === id);
    const menu = (id: string) => guideMenu(guide(id)!, hook(useGuideActions).current);
    const [a, b, c] = project().guides.map(({ id }) => id);
    act(() => session.getState().set({ guide: a, moreGuides: [b] }));
    choose(menu(b), 'Hide');
    expect([a, b, c].map((id) => guide(id)!.visible)).toEqual([false, false, true]);
    choose(menu(a), 'Delete');
    expect([a, b, c].map((id) => guide(id) !== undefined)).toEqual([false, false, true]);
    expect(session.getState().guide).toBeUndefined();
  });
});
