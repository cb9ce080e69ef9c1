/** @jest-environment ./scripts/page-environment.mjs */
import { act } from '@testing-library/react';
import type { MouseEvent, PointerEvent } from 'react';
import { BoxGeometry, Group, Mesh, MeshBasicMaterial, OrthographicCamera, type Object3D } from 'three';
import { unwrap } from '../../core/testing/runs';
import { loadFrom } from '../../engine/bake';
import { Deriver } from '../../engine/derive';
import { facetsOf, FacetVersions } from '../../engine/facets';
import { sourceOf } from '../../engine/run-source';
import { saltgrassLanding } from '../../project/samples';
import { withChanges, type RunResult } from '../state/results-store';
import { app } from '../testing/app';
import { useViewMenu } from './use-view-menu';
import { Viewport } from './viewport';

jest.mock('../../engine/compute-client', () => ({ Stopped: class Stopped extends Error {} }));

/** Metres that are seen from above, ten pixels to each; x to the right, z down. */
const [WIDE, HIGH, PER_METRE] = [160, 120, 10];
const project = saltgrassLanding();
const [causeway] = project.runs;
let result: RunResult;

beforeAll(async () => {
  const deriver = new Deriver(loadFrom(new Map()));
  const derived = unwrap(await deriver.derive(unwrap(sourceOf(project, causeway))));
  result = withChanges(undefined, facetsOf(derived, null, {}, new FacetVersions('t'), deriver));
});

/** Something large under everything that is drawn. */
const under = (data: object): Object3D => {
  const mesh = new Mesh(new BoxGeometry(WIDE, 0.1, HIGH), new MeshBasicMaterial());
  mesh.position.y = -2;
  return Object.assign(mesh, { userData: data });
};

function view(...objects: readonly Object3D[]) {
  const camera = new OrthographicCamera(-WIDE / 2, WIDE / 2, HIGH / 2, -HIGH / 2, 0.1, 200);
  camera.position.set(0, 100, 0);
  camera.up.set(0, 0, -1);
  camera.lookAt(0, 0, 0);
  camera.updateMatrixWorld();
  const scene = new Group();
  if (objects.length > 0) scene.add(...objects);
  scene.updateMatrixWorld(true);
  const viewport = new Viewport();
  viewport.attach(camera, scene, WIDE * PER_METRE, HIGH * PER_METRE, () => {});
  const services = app({}, project);
  act(() => services.results.setState({ results: new Map([[causeway.id, result]]) }));
  const path = project.paths.find(({ id }) => id === causeway.path)!;
  const hooked = services.hook(() => useViewMenu(viewport, path));
  /** A right click at a place of the scene; the pointer may be moved while the button is down. */
  const click = ([x, , z]: ArrayLike<number> & Iterable<number>, moved = 0) => {
    const [clientX, clientY] = [(x + WIDE / 2) * PER_METRE, (z + HIGH / 2) * PER_METRE];
    const currentTarget = { getBoundingClientRect: () => ({ left: 0, top: 0 }) };
    act(() => {
      hooked.current.onPointerDownCapture({ button: 2, clientX: clientX - moved, clientY } as PointerEvent<HTMLElement>); // prettier-ignore
      hooked.current.onContextMenu({ clientX, clientY, currentTarget, preventDefault: () => undefined } as unknown as MouseEvent<HTMLElement>); // prettier-ignore
    });
    return hooked.current.menu?.items.flatMap((item) => (item === 'line' ? [] : [item]));
  };
  const choose = (items: ReturnType<typeof click>, label: string) => act(() => items!.find((item) => item.label === label)!.act()); // prettier-ignore
  return { ...services, click, choose };
}

const labels = (items: readonly { label: string }[] | undefined) => items?.map(({ label }) => label);
const pointOf = (i: number) => project.paths.find(({ id }) => id === causeway.path)!.curve.points[i].position;
/** Half way between two points of the path's line, and the station there. */
const between = (share: number) => {
  const { line, stations } = result.path;
  const i = Math.floor((line.length / 3) * share);
  return { place: [line[i * 3], line[i * 3 + 1], line[i * 3 + 2]], station: stations[i] };
};

describe('a right click in the bent view', () => {
  it('on nothing offers what fits everywhere', () => {
    expect(labels(view().click([70, 0, -55]))).toEqual(['Frame everything', 'Commands']);
  });

  it('that ends a drag of the view offers nothing', () => {
    expect(view().click([70, 0, -55], 40)).toBeUndefined();
  });

  it('on a point chooses or deletes it, or all that are chosen where it is among them', () => {
    const { click, choose, session, project: now } = view();
    choose(click(pointOf(2)), 'Choose point 3');
    expect(session.getState()).toMatchObject({ point: 2, step: 'path' });
    act(() => session.getState().set({ point: 2, more: [4] }));
    expect(labels(click(pointOf(3)))).toContain('Delete this point');
    choose(click(pointOf(4)), 'Delete 2 points');
    const placesOf = ({ paths }: typeof project) => paths.find(({ id }) => id === causeway.path)!.curve.points.map(({ position }) => position); // prettier-ignore
    expect(placesOf(now())).toEqual(placesOf(project).filter((_, i) => i !== 2 && i !== 4));
    expect(session.getState().point).toBeUndefined();
  });

  it('on the path puts a point there, on it to a millimetre, or a ring', () => {
    const { click, choose, session, project: now } = view();
    const { place, station } = between(0.3);
    const count = project.paths.find(({ id }) => id === causeway.path)!.curve.points.length;
    choose(click(place), 'New point here');
    const { points } = now().paths.find(({ id }) => id === causeway.path)!.curve;
    const made = points[session.getState().point!].position;
    expect(points.length).toBe(count + 1);
    expect(Math.hypot(made[0] - place[0], made[2] - place[2])).toBeLessThan(1e-3);
    choose(click(place), 'Ring here');
    expect(session.getState().tool).toBe('ring');
    expect(session.getState().ring).toBeCloseTo(station, 3);
  });

  it('on a run offers the piece that is there, by its number, and what runs offer', () => {
    const { click, choose, session, project: now } = view(under({ run: causeway.id }));
    const { place, station } = between(0.54);
    const pieces = result.courses[0].layout.placements;
    const wanted = pieces.findIndex((own) => own.station <= station && station < own.station + own.length);
    const items = click(place);
    expect(labels(items)).toEqual(expect.arrayContaining([`Choose piece ${wanted + 1}`, `Hide piece ${wanted + 1}`, 'Choose Causeway', 'Keep as a kit'])); // prettier-ignore
    choose(items, `Hide piece ${wanted + 1}`);
    expect(now().runs[0].courses[0].laying.pieces).toEqual([expect.objectContaining({ piece: wanted, hidden: true })]);
    choose(items, `Choose piece ${wanted + 1}`);
    expect(session.getState()).toMatchObject({ run: causeway.id, piece: wanted, step: 'laying' });
  });

  it('on a guide chooses and hides it', () => {
    const [guide] = project.guides;
    const { click, choose, session, project: now } = view(under({ guide: guide.id }));
    const items = click([70, 0, -55]);
    choose(items, `Choose ${guide.name}`);
    expect(session.getState().guide).toBe(guide.id);
    choose(items, 'Hide');
    expect(now().guides[0].visible).toBe(false);
  });
});
