import { chosenPoints, createSessionStore } from './session-store';

/** A session in which much is chosen. */
function chosen() {
  const session = createSessionStore();
  const { set } = session.getState();
  set({ run: 'a', moreRuns: ['b'], course: 'main', segment: 's', piece: 3, ring: 4, laneKeys: [] });
  set({ point: 1, more: [2, 5], guide: 'g', moreGuides: ['h'] });
  set({ view: 'free', ride: { speed: 1, isHeld: false, station: 0, count: 1 } });
  return { set, now: () => session.getState() };
}

describe('what is chosen', () => {
  it('of one run is let go of with another one, and what is said beside that stands', () => {
    const { set, now } = chosen();
    set({ run: 'b' });
    expect(now()).toMatchObject({ run: 'b', moreRuns: [], course: undefined, segment: undefined, piece: undefined, ring: undefined, ride: undefined }); // prettier-ignore
    set({ run: 'a', moreRuns: ['b'], course: 'posts', piece: 7 });
    expect(now()).toMatchObject({ run: 'a', moreRuns: ['b'], course: 'posts', segment: undefined, piece: 7 });
  });

  it('of one course is let go of with another one', () => {
    const { set, now } = chosen();
    set({ course: 'posts' });
    expect(now()).toMatchObject({ run: 'a', moreRuns: ['b'], course: 'posts', segment: undefined, piece: undefined });
  });

  it('are several points or guides until one is chosen, or none', () => {
    const { set, now } = chosen();
    expect(chosenPoints(now())).toEqual([1, 2, 5]);
    set({ point: 2 });
    expect(chosenPoints(now())).toEqual([2]);
    set({ point: 2, more: [1] });
    expect(chosenPoints(now())).toEqual([2, 1]);
    set({ point: undefined });
    expect(chosenPoints(now())).toEqual([]);
    set({ guide: 'h' });
    expect(now().moreGuides).toEqual([]);
  });

  it('is left alone by what has nothing to do with it', () => {
    const { set, now } = chosen();
    const before = now();
    set({ step: 'motion' });
    expect(now()).toEqual({ ...before, step: 'motion' });
  });

  it('ends a ride with another view, but not one that begins with it', () => {
    const { set, now } = chosen();
    set({ view: 'above' });
    expect(now().ride).toBeUndefined();
    set({ view: 'free', ride: { speed: 2, isHeld: false, station: 0, count: 2 } });
    expect(now().ride).toMatchObject({ speed: 2 });
  });
});

describe('framing', () => {
  it('of what is chosen is of the guide where there is one, else of the run, each time anew', () => {
    const { set, now } = chosen();
    const { count } = now().framing;
    now().frame('chosen');
    expect(now().framing).toEqual({ what: 'guide', count: count + 1 });
    set({ guide: undefined });
    now().frame('chosen');
    expect(now().framing).toEqual({ what: 'run', count: count + 2 });
  });
});

describe('a notice', () => {
  it('is not said twice while it is there, and goes by its number', () => {
    const { now } = chosen();
    now().notify('Saved');
    now().notify('Saved');
    now().notify('Brought', { kind: 'warning' });
    expect(now().notices.map(({ text, kind }) => [text, kind])).toEqual([['Saved', 'plain'], ['Brought', 'warning']]); // prettier-ignore
    now().dismiss(now().notices[0].id);
    expect(now().notices.map(({ text }) => text)).toEqual(['Brought']);
  });
});
