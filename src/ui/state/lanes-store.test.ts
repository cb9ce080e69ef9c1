/** @jest-environment ./scripts/page-environment.mjs */
import { createLanesStore } from './lanes-store';

describe('the lanes that are shown', () => {
  beforeEach(() => localStorage.clear());

  it('are chosen, ordered, drawn taller, and there again the next time', () => {
    const store = createLanesStore();
    const { show, move, setHeight, keep } = store.getState();
    show('twist', true);
    move('twist', -10);
    setHeight('twist', 80);
    setHeight('roll', 1);
    show('tightness', false);
    keep({
      name: 'Tip',
      quantity: 'plain',
      lane: { blend: 'smooth', along: 'reach', keys: [{ station: 0, value: 1 }] },
    });
    const again = createLanesStore().getState();
    expect(again.shown.map(({ kind }) => kind)).toEqual(['twist', 'pieces', 'roll', 'gauge', 'stretch']);
    expect(again.shown[0].height).toBe(80);
    expect(again.shown[2].height).toBeGreaterThan(20);
    expect(again.presets.map(({ name }) => name)).toEqual(['Tip']);
    again.forget('Tip');
    expect(createLanesStore().getState().presets).toEqual([]);
  });

  it('leave out those that this build does not know', () => {
    localStorage.setItem('rattan-lanes', JSON.stringify({ state: { shown: [{ kind: 'gone', height: 9 }, { kind: 'roll', height: 30 }] }, version: 0 })); // prettier-ignore
    expect(createLanesStore().getState().shown).toEqual([{ kind: 'roll', height: 30 }]);
  });
});
