import type { MeshBuilder } from '../../mesh/mesh-builder';

/** What a face wears. */
export interface Wear {
  readonly part: string;
  readonly material: number;
}

/** Triangles between rows of equally many vertices. They look out when rows go forward and vertices turn from up to the right. */
export function addGrid(builder: MeshBuilder, { part, material }: Wear, rows: readonly (readonly number[])[]): void {
  for (let k = 0; k + 1 < rows.length; k++) {
    const [near, far] = [rows[k], rows[k + 1]];
    for (let j = 0; j + 1 < near.length; j++) {
      builder.triangle(part, material, near[j], near[j + 1], far[j + 1]);
      builder.triangle(part, material, near[j], far[j + 1], far[j]);
    }
  }
}

/** A flat face over a ring round a middle; `looksBack` = against the direction in which the ring turns right-handed. */
export function addFan(
  builder: MeshBuilder,
  { part, material }: Wear,
  middle: number,
  ring: readonly number[],
  looksBack: boolean,
): void {
  for (let j = 0; j + 1 < ring.length; j++) {
    const [a, b] = looksBack ? [ring[j + 1], ring[j]] : [ring[j], ring[j + 1]];
    builder.triangle(part, material, middle, a, b);
  }
}
