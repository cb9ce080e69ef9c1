import { OrthographicCamera, Scene } from 'three';
import type { Vec3 } from '../../core/math/vec3';
import { causeway } from '../../project/samples';
import type { Guide, Project } from '../../project/schema';
import type { Snapping } from '../state/session-store';
import { mouthsBeside } from '../../project/commands/plugs';
import { snap } from './snap';
import { Viewport, type ScenePlace } from './viewport';

/** Seen from above, 10 pixels a metre. */
function viewport(hit?: ScenePlace): Viewport {
  const camera = new OrthographicCamera(-48, 48, 27, -27, -100, 100);
  camera.position.set(0, 50, 0);
  camera.up.set(0, 0, -1);
  camera.lookAt(0, 0, 0);
  camera.updateMatrixWorld();
  const made = new Viewport();
  made.attach(camera, new Scene(), 960, 540, () => {});
  if (hit) made.guideAt = () => hit;
  return made;
}

const SOCKET: Guide = {
  id: 'socket',
  name: 'Lamp socket',
  visible: true,
  shape: { from: 'body', kind: 'socket', sizes: {} },
  position: [10, 3, -5],
  turn: [0, 0, Math.PI / -2],
  clearance: null,
};
const ALL: Snapping = { grid: null, points: true, guides: true, clearance: 0 };
const at = (to: Vec3, change: { snapping?: Snapping; project?: Project; chosen?: number[]; view?: Viewport } = {}) => {
  const view = change.view ?? viewport();
  const { x, y } = view.toScreen(to);
  return snap(to, {
    viewport: view,
    project: change.project ?? causeway(),
    snapping: change.snapping ?? ALL,
    path: 'causeway-line',
    chosen: change.chosen ?? [0],
    x,
    y,
  });
};

describe('what a dragged point catches on', () => {
  const point = causeway().paths[0].curve.points[4].position;
  const near: Vec3 = [point[0] + 0.4, 0, point[2] - 0.5];

  it('is another point within some pixels, wherever that lies in height', () => {
    expect(at(near)).toMatchObject({ place: point, on: 'point' });
    expect(at([point[0] + 2, 0, point[2]]).on).toBeUndefined();
    expect(at(near, { chosen: [4] }).on).toBeUndefined(); // not itself
    expect(at(near, { snapping: { ...ALL, points: false } })).toEqual({ place: near });
  });

  it('is a socket for an end, which is then plugged in, and for no other point', () => {
    const project = { ...causeway(), guides: [SOCKET] };
    const to: Vec3 = [10.3, 0, -5.2];
    const caught = at(to, { project });
    expect(caught).toMatchObject({ on: 'end', place: SOCKET.position });
    caught.mouth!.direction.forEach((v, k) => expect(v).toBeCloseTo([1, 0, 0][k], 12));
    expect(at(to, { project, chosen: [2] }).on).toBeUndefined();
    expect(at(to, { project, chosen: [0, 1] }).on).toBeUndefined();
    expect(at(to, { project: { ...project, guides: [{ ...SOCKET, visible: false }] } }).on).toBeUndefined();
  });

  it('is the middle of a guide’s face before its surface, and keeps the clearance from that', () => {
    const hit: ScenePlace = { id: 'g', place: [20, 2, 3], normal: [0, 1, 0] };
    const view = viewport(hit);
    expect(at([20, 0, 3], { view, snapping: { ...ALL, clearance: 0.25 } })).toEqual({
      place: [20, 2.25, 3],
      on: 'guide',
    });
    view.setMiddles('g', [[20.4, 2, 3]]);
    expect(at([20, 0, 3], { view })).toMatchObject({ place: [20.4, 2, 3], on: 'middle' });
    view.setMiddles('g', undefined);
    expect(at([20, 0, 3], { view }).on).toBe('guide');
    expect(at([20, 0, 3], { view, snapping: { ...ALL, guides: false } }).on).toBeUndefined();
  });

  it('is the grid last, in whole steps', () => {
    const grid = { ...ALL, grid: 0.25 };
    expect(at([20.3, 0.9, 3.13], { snapping: grid })).toEqual({ place: [20.25, 1, 3.25], on: 'grid' });
    expect(at(near, { snapping: grid }).on).toBe('point');
  });
});

it('ends of other open paths and sockets can be plugged into, not closed paths', () => {
  const project: Project = {
    ...causeway(),
    guides: [SOCKET],
    paths: [
      ...causeway().paths,
      {
        id: 'open',
        name: 'Spur',
        curve: { kind: 'straight', closed: false, points: [{ position: [0, 0, 0] }, { position: [4, 0, 0] }] },
      },
      {
        id: 'ring',
        name: 'Ring',
        curve: {
          kind: 'smooth',
          closed: true,
          points: [
            [0, 0, 0],
            [4, 0, 0],
            [2, 0, 3],
          ].map((position) => ({ position })),
        },
      },
    ] as Project['paths'],
  };
  const mouths = mouthsBeside(project, 'causeway-line');
  expect(mouths.map(({ name }) => name)).toEqual(['Lamp socket', 'start of Spur', 'end of Spur']);
  expect(mouths[2].direction).toEqual([1, 0, 0]); // the way out: on from the end
  expect(mouths[1].direction.map((v) => v + 0)).toEqual([-1, 0, 0]);
});
