import { toSrgb } from '../math/srgb';
import { cross, dot, normalize, type Vec3 } from '../math/vec3';
import type { Mesh } from './mesh';

/** A mesh of a small picture and where it lies, metres. */
export interface DrawnMesh {
  readonly mesh: Mesh;
  readonly origin?: Vec3;
}

export interface Picture {
  readonly width: number;
  readonly height: number;
  /** Red, green, blue, opacity of each pixel, rows from the top down; sRGB. */
  readonly data: Uint8ClampedArray<ArrayBuffer>;
}

export interface PictureOptions {
  readonly width: number;
  readonly height: number;
  /** From what is drawn towards the eye; need not be of unit length. */
  readonly towards: Vec3;
}

/** Pixels of the buffer along each side of a pixel of the picture. */
const FINE = 2;
/** Of the picture's sides that what is drawn may take. */
const FILL = 0.9;
const SUN: Vec3 = normalize([0.5, 0.8, 0.45], [0, 1, 0]);
const AMBIENT = 0.42;

/** A small picture of meshes without perspective, lit by a sun; nothing behind them. Colours are those of materials and vertices, without images. Linear in triangles and pixels. */
export function drawMeshes(meshes: readonly DrawnMesh[], { width, height, towards }: PictureOptions): Picture {
  const [w, h] = [width * FINE, height * FINE];
  const eye = normalize(towards, [0, 0, 1]);
  const right = normalize(cross([0, 1, 0], eye), [1, 0, 0]);
  const up = cross(eye, right);
  // (1) Where everything lies on the picture, before it is fitted.
  const seen = meshes.map(({ mesh: { positions }, origin = [0, 0, 0] }) => {
    const out = new Float32Array(positions.length);
    for (let i = 0; i < positions.length; i += 3) {
      const p: Vec3 = [positions[i] + origin[0], positions[i + 1] + origin[1], positions[i + 2] + origin[2]];
      out[i] = dot(p, right);
      out[i + 1] = dot(p, up);
      out[i + 2] = dot(p, eye);
    }
    return out;
  });
  const [min, max] = [
    [Infinity, Infinity],
    [-Infinity, -Infinity],
  ];
  for (const places of seen)
    for (let i = 0; i < places.length; i++)
      if (i % 3 < 2) [min[i % 3], max[i % 3]] = [Math.min(min[i % 3], places[i]), Math.max(max[i % 3], places[i])];
  const scale = FILL * Math.min(w / Math.max(max[0] - min[0], 1e-9), h / Math.max(max[1] - min[1], 1e-9));
  const [cx, cy] = [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2];
  // (2) Triangle by triangle, the nearest wins.
  const depth = new Float32Array(w * h).fill(-Infinity);
  const colour = new Float32Array(w * h * 3);
  meshes.forEach(({ mesh }, m) => {
    const at = seen[m];
    const x = (v: number) => (at[v * 3] - cx) * scale + w / 2;
    const y = (v: number) => h / 2 - (at[v * 3 + 1] - cy) * scale;
    for (const { start, count, material } of mesh.parts) {
      const [r, g, b] = mesh.materials[material]?.colour ?? [0.6, 0.6, 0.6];
      for (let i = start; i < start + count; i += 3) {
        const [p, q, s] = [mesh.indices[i], mesh.indices[i + 1], mesh.indices[i + 2]];
        const [px, py, qx, qy, sx, sy] = [x(p), y(p), x(q), y(q), x(s), y(s)];
        const area = (qx - px) * (sy - py) - (qy - py) * (sx - px);
        if (Math.abs(area) < 1e-12) continue;
        const normal: Vec3 = [0, 1, 2].map((c) => [p, q, s].reduce((sum, v) => sum + mesh.normals[v * 3 + c], 0)) as unknown as Vec3; // prettier-ignore
        const n = normalize(normal, [0, 1, 0]);
        const light = AMBIENT + (1 - AMBIENT) * 1.15 * Math.max(dot(n, SUN) * (dot(n, eye) < 0 ? -1 : 1), 0);
        const tint = (c: number) => (mesh.colours ? (mesh.colours[p * 4 + c] + mesh.colours[q * 4 + c] + mesh.colours[s * 4 + c]) / 3 : 1); // prettier-ignore
        const shade = [r * tint(0) * light, g * tint(1) * light, b * tint(2) * light];
        const [x0, x1] = [Math.max(Math.ceil(Math.min(px, qx, sx) - 0.5), 0), Math.min(Math.floor(Math.max(px, qx, sx) + 0.5), w - 1)]; // prettier-ignore
        const [y0, y1] = [Math.max(Math.ceil(Math.min(py, qy, sy) - 0.5), 0), Math.min(Math.floor(Math.max(py, qy, sy) + 0.5), h - 1)]; // prettier-ignore
        for (let j = y0; j <= y1; j++)
          for (let k = x0; k <= x1; k++) {
            const [fx, fy] = [k + 0.5, j + 0.5];
            const a = ((qx - fx) * (sy - fy) - (qy - fy) * (sx - fx)) / area;
            const c = ((sx - fx) * (py - fy) - (sy - fy) * (px - fx)) / area;
            if (a < -1e-4 || c < -1e-4 || a + c > 1 + 1e-4) continue;
            const away = a * at[p * 3 + 2] + c * at[q * 3 + 2] + (1 - a - c) * at[s * 3 + 2];
            const pixel = j * w + k;
            if (away <= depth[pixel]) continue;
            depth[pixel] = away;
            colour.set(shade, pixel * 3);
          }
      }
    }
  });
  return { width, height, data: shrunk(colour, depth, w, width, height) };
}

/** The fine buffer as a picture of its size: light is averaged, then made a colour of the screen. */
function shrunk(colour: Float32Array, depth: Float32Array, w: number, width: number, height: number) {
  const data = new Uint8ClampedArray(width * height * 4);
  for (let j = 0; j < height; j++)
    for (let k = 0; k < width; k++) {
      const sum = [0, 0, 0];
      let covered = 0;
      for (let v = 0; v < FINE; v++)
        for (let u = 0; u < FINE; u++) {
          const pixel = (j * FINE + v) * w + k * FINE + u;
          if (depth[pixel] === -Infinity) continue;
          covered++;
          for (let c = 0; c < 3; c++) sum[c] += colour[pixel * 3 + c];
        }
      if (covered === 0) continue;
      const at = (j * width + k) * 4;
      for (let c = 0; c < 3; c++) data[at + c] = 255 * toSrgb(Math.min(sum[c] / covered, 1));
      data[at + 3] = (255 * covered) / (FINE * FINE);
    }
  return data;
}
