import earcut from 'earcut';
import type { Material, Mesh } from '../mesh/mesh';
import { MeshBuilder } from '../mesh/mesh-builder';

/** A corner of a cross-section, metres: z to the right of forward, y up. */
export type SectionPoint = readonly [z: number, y: number];

/** One face along the length, between two neighbouring corners of the outline. */
export interface Strip {
  readonly part: string;
  /** Place in the material list, or one for each stretch between rows. */
  readonly material: number | readonly number[];
  /** Shares its normals with the next strip: a rounded edge. */
  readonly smoothToNext?: boolean;
}

/**
 * A closed outline carried along x. `outline[i]` to `outline[i + 1]` is `strips[i]`; the outline runs clockwise seen
 * along forward (right, down, left, up), so that the faces look out. Where `isOpen`, the last corner is not joined to the first. Texture: u = metres along, v = metres round.
 */
export function extrudeOutline(
  outline: readonly SectionPoint[],
  strips: readonly Strip[],
  rows: readonly number[],
  materials: readonly Material[],
  capMaterial: number,
  isOpen = false,
): Mesh {
  const n = outline.length;
  const builder = new MeshBuilder(materials);
  const normals = strips.map((_, i) => {
    const [[z0, y0], [z1, y1]] = [outline[i], outline[(i + 1) % n]];
    const l = Math.hypot(z1 - z0, y1 - y0);
    return [(y0 - y1) / l, (z1 - z0) / l] as const; // z and y of the outward normal
  });
  const blend = (i: number, j: number) => {
    const [z, y] = [normals[i][0] + normals[j][0], normals[i][1] + normals[j][1]];
    const l = Math.hypot(z, y);
    return [z / l, y / l] as const;
  };
  let round = 0;
  let shared: number[] | undefined;
  for (let i = 0; i < (isOpen ? n - 1 : n); i++) {
    const strip = strips[i];
    const [z0, y0] = outline[i];
    const [z1, y1] = outline[(i + 1) % n];
    const before = (i + n - 1) % n;
    const na = strips[before]?.smoothToNext ? blend(before, i) : normals[i];
    const nb = strip.smoothToNext ? blend(i, (i + 1) % n) : normals[i];
    const end = round + Math.hypot(z1 - z0, y1 - y0);
    const onLeft = (x: number) => builder.vertex([x, y0, z0], [0, na[1], na[0]], [x, round]);
    const onRight = (x: number) => builder.vertex([x, y1, z1], [0, nb[1], nb[0]], [x, end]);
    const { material } = strip;
    if (typeof material === 'number') {
      const left = shared ?? rows.map(onLeft);
      const right = rows.map(onRight);
      shared = strip.smoothToNext ? right : undefined;
      for (let k = 0; k + 1 < rows.length; k++) {
        builder.triangle(strip.part, material, left[k], right[k], right[k + 1]);
        builder.triangle(strip.part, material, left[k], right[k + 1], left[k + 1]);
      }
    } else {
      // Where the material changes along the strip, each stretch has corners of its own.
      shared = undefined;
      material.forEach((own, k) => {
        const [a, b] = [onLeft(rows[k]), onRight(rows[k])];
        const [c, d] = [onRight(rows[k + 1]), onLeft(rows[k + 1])];
        builder.triangle(materials[own].name, own, a, b, c);
        builder.triangle(materials[own].name, own, a, c, d);
      });
    }
    round = end;
  }
  if (!isOpen) addCaps(builder, outline, rows, capMaterial);
  return builder.build();
}

function addCaps(
  builder: MeshBuilder,
  outline: readonly SectionPoint[],
  rows: readonly number[],
  material: number,
): void {
  const triangles = earcut(outline.flat());
  for (const [x, nx] of [
    [rows[0], -1],
    [rows[rows.length - 1], 1],
  ] as const) {
    const ring = outline.map(([z, y]) => builder.vertex([x, y, z], [nx, 0, 0], [z, y]));
    for (let i = 0; i < triangles.length; i += 3) {
      const [a, b, c] = [triangles[i], triangles[i + 1], triangles[i + 2]];
      const [p, q, r] = [outline[a], outline[b], outline[c]];
      // Positive when a, b, c turn from z towards y: such a triangle looks back along -x.
      const turn = (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
      const [second, third] = turn > 0 === nx < 0 ? [b, c] : [c, b];
      builder.triangle('Ends', material, ring[a], ring[second], ring[third]);
    }
  }
}
