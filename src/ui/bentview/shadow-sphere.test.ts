import { OrthographicCamera, PerspectiveCamera, Vector3 } from 'three';
import { FOV, placeLens, sightOf } from './lens-change';
import { shadowSphere } from './shadow-sphere';

const SCENE = { centre: [10, 0, 0], radius: 60 } as const;
const camera = (distance: number) => {
  const lens = new PerspectiveCamera(FOV, 1.6, 0.1, 1000);
  lens.position.set(0, 0, distance);
  return lens;
};

describe('what shadows have to fall on', () => {
  it('is the whole scene from afar, and what is seen of it nearby', () => {
    expect(shadowSphere(camera(400), new Vector3(), 1.6, SCENE).radius).toBeGreaterThanOrEqual(60);
    const near = shadowSphere(camera(6), new Vector3(), 1.6, SCENE);
    const seen = 6 * Math.tan((FOV * Math.PI) / 360) * 1.6;
    expect(near.radius).toBeGreaterThan(seen);
    expect(near.radius).toBeLessThan(seen * 3);
    expect(Math.hypot(...near.centre)).toBeLessThan(near.radius);
  });

  it('stays the same while one moves a little: shadows would shimmer', () => {
    const all = new Set(Array.from({ length: 20 }, (_, i) => JSON.stringify(shadowSphere(camera(6 + i * 0.005), new Vector3(0.001 * i, 0, 0), 1.6, SCENE)))); // prettier-ignore
    expect(all.size).toBeLessThanOrEqual(2);
  });

  it('stays by the scene when one looks past it', () => {
    const { centre } = shadowSphere(camera(6), new Vector3(5000, 0, 0), 1.6, SCENE);
    expect(Math.hypot(centre[0] - 10, centre[1], centre[2])).toBeLessThan(65);
  });
});

describe('a lens of another kind', () => {
  it('shows as much as the one before it, from where that looked', () => {
    const lens = camera(12);
    const target = new Vector3(1, 2, 3);
    lens.lookAt(target);
    const parallel = new OrthographicCamera(-160, 160, 100, -100);
    placeLens(parallel, sightOf(lens, target));
    const high = (parallel.top - parallel.bottom) / parallel.zoom;
    expect(high).toBeCloseTo(2 * lens.position.distanceTo(target) * Math.tan((FOV * Math.PI) / 360), 6);
    const back = camera(1);
    placeLens(back, sightOf(parallel, target));
    expect(back.position.distanceTo(lens.position)).toBeLessThan(1e-6);
  });
});
