/** @jest-environment ./scripts/page-environment.mjs */
import { courseOf } from '../../project/schema';
import { act } from '@testing-library/react';
import { fail, ok } from '../../core/math/result';
import { pathOf } from '../../core/testing/curves';
import type { Vec3 } from '../../core/math/vec3';
import { Stopped } from '../../engine/compute-client';
import { causeway } from '../../project/samples';
import { app, said } from '../testing/app';
import { useChosen, useGesture, useRun } from './app-context';
import { broughtSegment } from './brought-segment';
import { STEPS } from './steps';
import { useAsk } from './use-ask';
import { useBring } from './use-bring';
import { useNewRun } from './use-new-run';
import { usePivot } from './use-pivot';
import { usePointClipboard } from './use-point-clipboard';

jest.mock('../../engine/compute-client', () => ({ Stopped: class Stopped extends Error {} }));

const pathOfRun = (services: ReturnType<typeof app>, run: string | undefined) => {
  const { paths, runs } = services.project();
  return paths.find(({ id }) => id === runs.find((r) => r.id === run)?.path)!;
};

describe('useNewRun', () => {
  it('adds a run on a path of its own, to be drawn, or along one that is there; names are told apart', () => {
    const services = app();
    const { current } = services.hook(useNewRun);
    act(() => current.addMade('plank'));
    const [first] = services.project().runs.slice(-1);
    expect(first).toMatchObject({ name: 'Plank', courses: [{ laying: { rule: { gap: 0 } } }] });
    expect(services.session.getState()).toMatchObject({ run: first.id, tool: 'pen', step: 'path' });
    act(() => current.addMade('plank', { path: first.path }));
    const [second] = services.project().runs.slice(-1);
    expect(second).toMatchObject({ name: 'Plank 2', path: first.path });
    expect(services.session.getState()).toMatchObject({ tool: 'shape', step: 'segment' });
  });

  it('gives links of a chain the gap that lets them hang in each other', () => {
    const services = app();
    const { current } = services.hook(useNewRun);
    act(() => current.addMade('chainLink'));
    const { project } = services.document.getState();
    const run = project.runs[project.runs.length - 1];
    const { source } = project.segments[project.segments.length - 1];
    // A link reaches two bars beyond its inner length: the next one begins where that ends.
    const { bar } = (source as { spec: { bar: number } }).spec;
    expect((courseOf(run).laying.rule as { gap: number }).gap).toBeCloseTo(-2 * bar, 6);
  });
});

describe('useChosen and usePivot', () => {
  it('know the chosen points, and what they are turned about', () => {
    const services = app();
    const curve = pathOf('smooth', [[0, 0, 0], [2, 0, 0], [4, 6, 0]]); // prettier-ignore
    act(() => services.session.getState().set({ point: 2, more: [0] }));
    expect(services.hook(useChosen).current).toEqual([2, 0]);
    const pivot = services.hook(() => usePivot(curve));
    expect(pivot.current).toMatchObject({ pivot: 'middle', place: [2, 3, 0] });
    const places: [Parameters<typeof set>[0], Vec3][] = [['first', [4, 6, 0]], ['origin', [0, 0, 0]], ['own', [7, 7, 7]]]; // prettier-ignore
    const set = (name: 'first' | 'origin' | 'own' | 'ruler') => act(() => services.session.getState().set({ pivot: name, pivotPlace: [7, 7, 7] })); // prettier-ignore
    for (const [name, place] of places) {
      set(name);
      expect(pivot.current.place).toEqual(place);
    }
    set('ruler'); // there is none
    expect(pivot.current.pivot).toBe('middle');
    act(() => services.session.getState().set({ ruler: [[1, 2, 3], [4, 5, 6]] })); // prettier-ignore
    expect(pivot.current).toMatchObject({ pivot: 'ruler', place: [1, 2, 3] });
  });
});

describe('useGesture and useRun', () => {
  it('make one step of undo of all edits between begin and end', () => {
    const services = app();
    const { current: gesture } = services.hook(useGesture);
    const run = services.hook(useRun);
    expect(run.current!.id).toBe('causeway'); // the first, while none is chosen
    gesture.begin();
    act(() => {
      for (const name of ['a', 'b', 'c']) services.document.getState().edit((p) => ({ ...p, name }));
    });
    gesture.end();
    expect(services.project().name).toBe('c');
    act(() => services.document.temporal.getState().undo());
    expect(services.project().name).toBe(causeway().name);
  });
});

describe('usePointClipboard', () => {
  it('copies chosen points and pastes them where their path goes on; text of tables too', async () => {
    const services = app();
    const { current } = services.hook(usePointClipboard);
    const before = pathOfRun(services, 'causeway').curve.points;
    act(() => services.session.getState().set({ run: 'causeway', point: 0, more: [1] }));
    act(() => current.copy());
    act(() => services.session.getState().set({ point: before.length - 1 }));
    await act(() => current.paste());
    const after = pathOfRun(services, 'causeway').curve.points;
    expect(after).toHaveLength(before.length + 1);
    const step = (points: typeof before, i: number) => points[i + 1].position.map((v, c) => v - points[i].position[c]);
    step(after, before.length - 1).forEach((v, c) => expect(v).toBeCloseTo(step(before, 0)[c], 9));
    const clipboard = { readText: async () => '1 2 3\n4 5 6', writeText: async () => undefined };
    Object.defineProperty(navigator, 'clipboard', { value: clipboard, configurable: true });
    await act(() => current.paste());
    expect(pathOfRun(services, 'causeway').curve.points.slice(-2).map(({ position }) => position)).toEqual([[1, 2, 3], [4, 5, 6]]); // prettier-ignore
    clipboard.readText = async () => 'no numbers';
    await act(() => current.paste());
    expect(said()).toMatch(/holds no three numbers/);
  });
});

describe('useAsk and useBring', () => {
  it('give the answer, or say what is wrong', async () => {
    const services = app({ good: async () => ok(7), bad: async () => fail('guide.unknown'), dead: () => Promise.reject(new Error('x')) }); // prettier-ignore
    const { current: ask } = services.hook(useAsk);
    const from = (name: string) =>
      act(() => ask((api) => (api as unknown as Record<string, () => Promise<never>>)[name]()));
    expect(await from('good')).toBe(7);
    expect(await from('bad')).toBeUndefined();
    expect(said()).toMatch(/guide is no longer there/);
    expect(await from('dead')).toBeUndefined();
    expect(said()).toMatch(/stopped unexpectedly/);
  });

  it('read files with their names and bytes, and leave everything as it was when that fails', async () => {
    const got: unknown[] = [];
    let answer: () => Promise<unknown> = async () => ok({ asset: 'a' });
    const services = app({ bring: (files: unknown) => (got.push(files), answer()) });
    const brought: unknown[] = [];
    const { current } = services.hook(() => useBring((mesh) => brought.push(mesh)));
    const file = Object.assign(new File(['abc'], 'log.stl'), {
      arrayBuffer: async () => new TextEncoder().encode('abc').buffer,
    });
    await act(() => current.bring([file]));
    expect(got).toEqual([[{ name: 'log.stl', bytes: new TextEncoder().encode('abc') }]]);
    expect(brought).toEqual([{ asset: 'a' }]);
    answer = async () => fail('mesh.empty');
    await act(() => current.bring([file]));
    answer = () => Promise.reject(new Stopped('stopped'));
    await act(() => current.bring([file]));
    await act(() => current.bring([]));
    expect(brought).toHaveLength(1);
    expect(said()).toMatch(/no triangles/);
  });
});

describe('a brought segment', () => {
  const of = (fileName: string) =>
    broughtSegment({ asset: 'a', fileName, triangles: 1, box: { min: [0, 0, 0], max: [1, 1, 1] } });
  it('is named after its file; an STL is welded and creased, for it knows neither', () => {
    expect(of('Old rope.v2.glb')).toMatchObject({ name: 'Old rope.v2', source: { from: 'asset', asset: 'a' } });
    expect(of('.glb').name).toBe('Mesh');
    expect(of('a.glb').prepare.clean.crease).toBeNull();
    expect(of('A.STL').prepare.clean).toMatchObject({ weld: 0 });
  });
});

it('the steps are in the order in which people work', () =>
  expect(STEPS).toEqual(['segment', 'path', 'laying', 'bending', 'motion', 'dressing']));
