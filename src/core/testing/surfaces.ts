import type { Surface } from '../mesh/surface';
import { distance, normalize, scale, type Vec3 } from '../math/vec3';

/** A ball about the origin, exactly. */
export const ball = (radius = 1): Surface => ({
  nearest: (to) => {
    const normal = normalize(to, [0, 1, 0]);
    return { place: scale(normal, radius), normal, distance: Math.hypot(...to) - radius };
  },
  hit: () => undefined,
});

/** A cube about the origin, exactly: normals are those of its faces, and jump over its edges. */
export const cube = (half: number): Surface => ({
  nearest: (to) => {
    const most = Math.max(...to.map(Math.abs));
    const face = to.findIndex((v) => Math.abs(v) === most);
    const place = to.map((v, c) => (c === face ? Math.sign(v || 1) * half : clamp(v, half))) as unknown as Vec3;
    const normal = [0, 1, 2].map((c) => (c === face ? Math.sign(to[c] || 1) : 0)) as unknown as Vec3;
    return { place, normal, distance: distance(to, place) * (most < half ? -1 : 1) };
  },
  hit: () => undefined,
});

const clamp = (v: number, half: number): number => Math.min(Math.max(v, -half), half);
