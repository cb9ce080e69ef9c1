import { BoxGeometry, Mesh, OrthographicCamera, PerspectiveCamera, Scene, Vector3 } from 'three';
import type { Vec3 } from '../../core/math/vec3';
import type { PathView } from '../../engine/path-view';
import { dragTo } from './drag-plane';
import { fitCamera } from './fit-camera';
import { nearestStation, placeAt } from './nearest-station';
import { Viewport } from './viewport';

const [WIDTH, HEIGHT] = [960, 540];

function perspective(): PerspectiveCamera {
  const camera = new PerspectiveCamera(36, WIDTH / HEIGHT, 0.1, 1000);
  camera.position.set(12, 14, 25);
  camera.lookAt(0, 0, 0);
  camera.updateMatrixWorld();
  return camera;
}

function viewportOf(camera: PerspectiveCamera | OrthographicCamera = perspective()): Viewport {
  const viewport = new Viewport();
  viewport.attach(camera, new Scene(), WIDTH, HEIGHT, () => {});
  return viewport;
}

describe('Viewport', () => {
  it('finds the place on a plane that lies under a pixel', () => {
    const viewport = viewportOf();
    for (const [x, y] of [
      [100, 300],
      [480, 270],
      [900, 500],
    ] as const) {
      const hit = viewport.onPlane(x, y, [0, 1.5, 0], [0, 1, 0])!;
      expect(hit[1]).toBeCloseTo(1.5, 9);
      const back = viewport.toScreen(hit);
      expect(back.x).toBeCloseTo(x, 6);
      expect(back.y).toBeCloseTo(y, 6);
      expect(back.isAhead).toBe(true);
    }
  });

  it('finds none where the ray hardly meets the plane', () => {
    const [dx, dy, dz] = viewportOf().lookingAlong();
    const along = new Vector3(dx, dy, dz).cross(new Vector3(0, 1, 0)).normalize();
    expect(viewportOf().onPlane(480, 270, [0, 0, 5], [along.x, along.y, along.z])).toBeUndefined();
  });
});

describe('dragTo', () => {
  const from: Vec3 = [2, 0.7, -1];
  it('keeps the height on the ground, and the place in plan when going up', () => {
    const viewport = viewportOf();
    const at = viewport.toScreen(from);
    const ground = dragTo(viewport, 'free', at.x + 40, at.y - 20, from, false)!;
    expect(ground[1]).toBe(0.7);
    const screen = viewport.toScreen(ground);
    expect(screen.x).toBeCloseTo(at.x + 40, 6);
    expect(screen.y).toBeCloseTo(at.y - 20, 6);
    const up = dragTo(viewport, 'free', at.x, at.y - 30, from, true)!;
    expect([up[0], up[2]]).toEqual([2, -1]);
    expect(up[1]).toBeGreaterThan(0.7);
  });

  it('stays in the plane of the front and side views', () => {
    const viewport = viewportOf();
    expect(dragTo(viewport, 'front', 500, 200, from, false)![2]).toBe(-1);
    expect(dragTo(viewport, 'side', 500, 200, from, false)![0]).toBe(2);
  });
});

describe('fitCamera', () => {
  const places: Vec3[] = Array.from({ length: 60 }, (_, i) => [i - 20, Math.sin(i), 3 * Math.cos(i / 5)]);
  const cameras = [
    ['perspective', new PerspectiveCamera(36, WIDTH / HEIGHT, 0.01, 1e4)],
    ['flat', new OrthographicCamera(-WIDTH / 2, WIDTH / 2, HEIGHT / 2, -HEIGHT / 2, -1e4, 1e4)],
  ] as const;
  it.each(cameras)('puts every place in the picture, fills it and is in the middle (%s)', (_, camera) => {
    fitCamera(camera, new Vector3(0.36, 0.56, 0.86).normalize(), places, WIDTH / HEIGHT);
    camera.updateMatrixWorld();
    const viewport = viewportOf(camera);
    const xs = places.map((p) => viewport.toScreen(p).x / WIDTH);
    const ys = places.map((p) => viewport.toScreen(p).y / HEIGHT);
    const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
    expect(left).toBeGreaterThan(0.05);
    expect(right).toBeLessThan(0.95);
    expect(Math.max(right - left, bottom - top)).toBeGreaterThan(0.78);
    expect((left + right) / 2).toBeCloseTo(0.5, 1);
    expect((top + bottom) / 2).toBeCloseTo(0.5, 1);
  });
});

describe('nearestStation', () => {
  const path = {
    line: Float32Array.from({ length: 33 }, (_, i) => (i % 3 === 0 ? i / 3 : 0)),
    stations: Float64Array.from({ length: 11 }, (_, i) => i),
    length: 10,
  } as unknown as PathView;

  it('finds the station under the pointer and none far from the path', () => {
    const viewport = viewportOf();
    for (const station of [0, 2.4, 7.75, 10]) {
      const { x, y } = viewport.toScreen(placeAt(path, station));
      expect(nearestStation(viewport, path, x, y, 9)).toBeCloseTo(station, 1);
      expect(nearestStation(viewport, path, x, y + 60, 9)).toBeUndefined();
    }
  });
});

describe('what a dragged point catches on', () => {
  it('is asked of guides alone, and never of the triangles of runs', () => {
    const camera = new OrthographicCamera(-5, 5, 5, -5, 0.1, 100);
    camera.position.set(0, 10, 0);
    camera.lookAt(0, 0, 0);
    camera.updateMatrixWorld();
    const scene = new Scene();
    const add = (userData: object, y: number) => {
      const mesh = new Mesh(new BoxGeometry(2, 0.2, 2));
      mesh.position.y = y;
      mesh.userData = userData;
      scene.add(mesh);
      return mesh;
    };
    const run = add({ run: 'r' }, 3); // over the guide
    add({ guide: 'g' }, 1);
    scene.updateMatrixWorld();
    let asked = 0;
    run.raycast = () => void asked++;
    const viewport = new Viewport();
    viewport.attach(camera, scene, 100, 100, () => {});
    const hit = viewport.guideAt(50, 50)!;
    expect(hit.id).toBe('g');
    expect(hit.place[1]).toBeCloseTo(1.1, 6);
    expect(viewport.guideAt(2, 2)).toBeUndefined();
    expect(asked).toBe(0);
    viewport.runAt(50, 50);
    expect(asked).toBe(1);
  });
});
