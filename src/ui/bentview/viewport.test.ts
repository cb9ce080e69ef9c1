import {
  BoxGeometry,
  Group,
  Mesh,
  MeshBasicMaterial,
  OrthographicCamera,
  PerspectiveCamera,
  type Object3D,
} from 'three';
import { Viewport } from './viewport';

const [WIDTH, HEIGHT] = [800, 400];

/** A camera at (0, 3, 10) that looks at the origin, and a scene. */
function viewed(...objects: readonly Object3D[]) {
  const camera = new PerspectiveCamera(50, WIDTH / HEIGHT, 0.1, 100);
  camera.position.set(0, 3, 10);
  camera.lookAt(0, 0, 0);
  camera.updateMatrixWorld();
  const scene = new Group();
  for (const object of objects) scene.add(object);
  scene.updateMatrixWorld(true);
  const viewport = new Viewport();
  viewport.attach(camera, scene, WIDTH, HEIGHT, () => {});
  return { viewport, camera };
}

const box = (data: object, x = 0, z = 0): Mesh => {
  const mesh = new Mesh(new BoxGeometry(2, 2, 2), new MeshBasicMaterial());
  mesh.position.set(x, 0, z);
  Object.assign(mesh.userData, data);
  return mesh;
};

describe('places on the screen', () => {
  it('has what the camera looks at in its middle, and nothing that is behind it', () => {
    const { viewport } = viewed();
    const { x, y, isAhead } = viewport.toScreen([0, 0, 0]);
    expect([x, y, isAhead]).toEqual([expect.closeTo(400, 6), expect.closeTo(200, 6), true]);
    expect(viewport.toScreen([0, 6, 20]).isAhead).toBe(false);
    expect(new Viewport().toScreen([0, 0, 0]).isAhead).toBe(false);
  });

  it('come back from the screen on a plane where they were', () => {
    const { viewport } = viewed();
    for (const place of [
      [1.5, 0, -2],
      [-3, 0, 1],
      [0.2, 0, 4],
    ] as const) {
      const { x, y } = viewport.toScreen(place);
      viewport.onPlane(x, y, [0, 0, 0], [0, 1, 0])!.forEach((value, c) => expect(value).toBeCloseTo(place[c], 6));
    }
    // A plane that is seen from its edge says nothing.
    expect(viewport.onPlane(400, 200, [0, 3, 10], [1, 0, 0])).toBeUndefined();
  });
});

describe('what is under a pixel', () => {
  it('is the nearest run, whatever lies in front of it that is none', () => {
    const { viewport } = viewed(box({ run: 'far' }, 0, -6), box({ run: 'near' }, 0, -2), box({ guide: 'wall' }, 0, 3));
    const { x, y } = viewport.toScreen([0, 0.6, -1]);
    expect(viewport.runAt(x, y)).toBe('near');
    expect(viewport.runAt(2, 2)).toBeUndefined();
  });

  it('is a guide with the normal of the side that is seen; scenery only where that counts', () => {
    const { viewport } = viewed(box({ guide: 'wall' }), box({ guide: 'land', isScenery: true }, 5));
    const wall = viewport.toScreen([0, 0, 1]);
    const hit = viewport.guideAt(wall.x, wall.y)!;
    expect(hit.id).toBe('wall');
    expect(hit.normal.map((value) => Math.round(value))).toEqual([0, 0, 1]);
    expect(hit.place[2]).toBeCloseTo(1, 6);
    const land = viewport.toScreen([5, 0, 1]);
    expect(viewport.guideAt(land.x, land.y)?.id).toBe('land');
    expect(viewport.guideAt(land.x, land.y, { scenery: false })).toBeUndefined();
  });

  it('is not what is hidden', () => {
    const hidden = box({ run: 'hidden' });
    hidden.visible = false;
    const { viewport } = viewed(hidden);
    expect(viewport.runAt(400, 200)).toBeUndefined();
  });
});

describe('guides that are framed and caught', () => {
  it('have the corners of their boxes, scenery left out unless it is asked for', () => {
    const { viewport } = viewed(box({ guide: 'a' }), box({ guide: 'land', isScenery: true }, 9));
    expect(viewport.guideCorners()).toHaveLength(8);
    expect(Math.max(...viewport.guideCorners().map(([x]) => x))).toBeCloseTo(1, 6);
    expect(Math.max(...viewport.guideCorners('land').map(([x]) => x))).toBeCloseTo(10, 6);
  });

  it('have middles as long as they are there', () => {
    const { viewport } = viewed();
    viewport.setMiddles('a', [[0, 0, 0]]);
    viewport.setMiddles('b', [[1, 0, 0], [2, 0, 0]]); // prettier-ignore
    expect(viewport.guideMiddles()).toHaveLength(3);
    viewport.setMiddles('b', undefined);
    expect(viewport.guideMiddles()).toEqual([[0, 0, 0]]);
  });
});

describe('the axis mark', () => {
  it('has unit axes, square to each other, that point as the scene is looked at', () => {
    const { viewport, camera } = viewed();
    const [x, y, z] = viewport.axesOnScreen();
    for (const axis of [x, y, z]) expect(Math.hypot(...axis)).toBeCloseTo(1, 9);
    expect(x[0] * y[0] + x[1] * y[1] + x[2] * y[2]).toBeCloseTo(0, 9);
    expect(x[0]).toBeCloseTo(1, 9); // looked at along -z, x goes to the right
    expect(y[1]).toBeGreaterThan(0.9);
    expect(z[2]).toBeGreaterThan(0.9); // and z comes near
    const above = new OrthographicCamera();
    above.position.set(0, 10, 0);
    above.up.set(0, 0, -1);
    above.lookAt(0, 0, 0);
    above.updateMatrixWorld();
    viewport.attach(above, new Group(), WIDTH, HEIGHT, () => {});
    expect(viewport.axesOnScreen()[2][1]).toBeCloseTo(-1, 9); // z goes down the screen
    expect(camera.position.y).toBe(3);
  });
});

it('tells of every frame until somebody has heard enough', () => {
  const { viewport } = viewed();
  const heard = jest.fn();
  const stop = viewport.onFrame(heard);
  viewport.frameDrawn();
  stop();
  viewport.frameDrawn();
  expect(heard).toHaveBeenCalledTimes(2); // once at once
});
