import { z } from 'zod';
import { seededRandom } from '../../math/random';
import { cross, normalize, rotate, sub, type Vec3 } from '../../math/vec3';
import { MeshBuilder } from '../../mesh/mesh-builder';
import type { Mesh } from '../../mesh/mesh';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import { countField, metresField } from '../../math/form-field';

const schema = z.strictObject({
  kind: z.literal('scannedLog'),
  length: z.number().min(0.05).max(200),
  radius: z.number().min(0.005).max(20),
  /** Rings and sides of the scan. */
  rings: z.number().int().min(8).max(2000),
  sides: z.number().int().min(8).max(1000),
  seed: z.number().int().min(0).max(1e6),
});

/** A scan is as a scanner leaves it: in centimetres, askew, far from its middle, with specks about it. */
const UNITS_A_METRE = 100;
const SPECKS = 12;

/** A log as a scanner would see it: noisy, askew, off centre and too large, so that preparing has work to do. */
export const scannedLog = defineMaker({
  kind: 'scannedLog',
  label: 'Scanned log',
  hint: 'Noisy, askew and far off, as scans are',
  group: 'plants',
  schema,
  defaults: { kind: 'scannedLog', length: 2.4, radius: 0.16, rings: 90, sides: 48, seed: 7 },
  fields: [
    metresField('length', 'Length', 0.1),
    metresField('radius', 'Radius', 0.01),
    countField('rings', 'Rings'),
    countField('sides', 'Sides'),
    countField('seed', 'Seed'),
  ],
  make({ length, radius, rings, sides, seed }) {
    const random = seededRandom(seed);
    const waves = Array.from({ length: 9 }, (_, i) => ({
      along: (i % 4) + 1 + random(),
      around: 1 + Math.floor(random() * 7),
      phase: random() * 2 * Math.PI,
      height: (0.05 * random()) / (1 + i * 0.35),
    }));
    const radiusAt = (t: number, angle: number) =>
      radius *
      (1.06 -
        0.22 * t +
        waves.reduce((sum, w) => sum + w.height * Math.sin(w.along * t * 6 + w.around * angle + w.phase), 0));
    const builder = new MeshBuilder([paint('Bark', '#8a765c', 0.95)]);
    const wear = ['Bark', 0] as const;
    const place = (t: number, angle: number, share = 1): Vec3 => {
      const r = radiusAt(t, angle) * share + (random() - 0.5) * radius * 0.012;
      const bow = Math.sin(Math.PI * t) * length * 0.03;
      return [t * length, r * Math.cos(angle) + bow, r * Math.sin(angle)];
    };
    const put = (p: Vec3, normal: Vec3, u: number, v: number) => builder.vertex(p, normal, [u, v]);
    const grid = Array.from({ length: rings + 1 }, (_, k) =>
      Array.from({ length: sides }, (_side, j) => askew(place(k / rings, (2 * Math.PI * j) / sides))),
    );
    const rows = grid.map((ring, k) =>
      Array.from({ length: sides + 1 }, (_, j) => {
        const along = sub(grid[Math.min(k + 1, rings)][j % sides], grid[Math.max(k - 1, 0)][j % sides]);
        const round = sub(ring[(j + 1) % sides], ring[(j + sides - 1) % sides]);
        return put(
          ring[j % sides],
          normalize(cross(round, along)),
          (k / rings) * length,
          (2 * Math.PI * radius * j) / sides,
        );
      }),
    );
    for (let k = 0; k < rings; k++) {
      for (let j = 0; j < sides; j++) {
        const [a, b, c, d] = [rows[k][j], rows[k][j + 1], rows[k + 1][j + 1], rows[k + 1][j]];
        builder.triangle(...wear, a, b, c);
        builder.triangle(...wear, a, c, d);
      }
    }
    for (const [ring, t, side] of [
      [grid[0], 0, -1],
      [grid[rings], 1, 1],
    ] as const) {
      const facing = turned([side, 0, 0]);
      const middle = put(askew(place(t, 0, 0)), facing, 0, 0);
      const rim = ring.map((p, j) => put(p, facing, 0, (2 * Math.PI * radius * j) / sides));
      rim.forEach((a, j) => {
        const b = rim[(j + 1) % sides];
        builder.triangle(...wear, middle, side < 0 ? b : a, side < 0 ? a : b);
      });
    }
    for (let s = 0; s < SPECKS; s++) {
      const from: Vec3 = [random() * length, radius * (1.4 + random()), (random() - 0.5) * radius * 4];
      const size = radius * 0.03;
      const tip = (dx: number, dy: number, dz: number) =>
        askew([from[0] + dx * size, from[1] + dy * size, from[2] + dz * size]);
      const [a, b, c, d] = [tip(0, 0, 0), tip(1, 0, 0), tip(0, 1, 0), tip(0, 0, 1)];
      for (const [p, q, r] of [
        [a, c, b],
        [a, b, d],
        [a, d, c],
        [b, c, d],
      ] as const) {
        const facing = normalize(cross(sub(q, p), sub(r, p)));
        builder.triangle(...wear, put(p, facing, 0, 0), put(q, facing, 0, 0), put(r, facing, 0, 0));
      }
    }
    return moss(builder.build());
  },
});

const turned = (p: Vec3): Vec3 => rotate(rotate(p, [0, 1, 0], 0.62), [0, 0, 1], 0.31);

/** Where the scanner had it: turned about two axes, moved off, in its own unit. */
function askew(p: Vec3): Vec3 {
  const [x, y, z] = turned(p);
  return [(x + 3.1) * UNITS_A_METRE, (y - 0.8) * UNITS_A_METRE, (z + 5.4) * UNITS_A_METRE];
}

/** Vertex colours as a scan has them: green where it looks up, bark elsewhere, patchy. */
function moss(mesh: Mesh): Mesh {
  const count = mesh.positions.length / 3;
  const colours = new Float32Array(count * 4).fill(1);
  for (let v = 0; v < count; v++) {
    const [x, z] = [mesh.positions[v * 3], mesh.positions[v * 3 + 2]];
    const patch = 0.25 * Math.sin(x * 0.11) * Math.sin(z * 0.17 + 1);
    const green = Math.min(Math.max((mesh.normals[v * 3 + 1] - 0.35 + patch) * 2.2, 0), 1);
    colours[v * 4] = 1 - 0.55 * green;
    colours[v * 4 + 1] = 1 - 0.12 * green;
    colours[v * 4 + 2] = 1 - 0.6 * green;
  }
  return { ...mesh, colours };
}
