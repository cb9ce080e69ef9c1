import type { Topology } from '../core/bending/build-run';
import type { MeshFigures } from '../core/mesh/clean/figures';
import type { Box } from '../core/mesh/box';
import type { Image, Material } from '../core/mesh/mesh';
import type { NamedAxes } from '../core/segment/find-axes';
import type { SeamFit } from '../core/segment/match-seams';
import type { ReadySegment } from './ready-segment';

/** A prepared segment as the preparing view shows it, straight, in segment space. */
export interface SegmentView {
  readonly positions: Float32Array;
  readonly normals: Float32Array;
  readonly topology: Topology;
  readonly surface: { readonly materials: readonly Material[]; readonly images: readonly Image[] };
  readonly box: Box;
  readonly length: number;
  readonly rows: number;
  readonly axes: NamedAxes;
  readonly seam: SeamFit;
  readonly figures: { readonly before: MeshFigures; readonly after: MeshFigures };
  /** Where each part lies along the segment, metres. */
  readonly parts: readonly {
    readonly name: string;
    readonly material: number;
    readonly from: number;
    readonly to: number;
  }[];
}

/** Copies what is handed over: the worker keeps the segment. */
export function buildSegmentView({ prepared, figures }: ReadySegment): SegmentView {
  const { mesh, box, length, rows, axes, seam } = prepared;
  const { positions, normals, uvs, colours, indices, parts, materials, images } = mesh;
  return {
    positions: positions.slice(),
    normals: normals.slice(),
    topology: { uvs: uvs.slice(), ...(colours && { colours: colours.slice() }), indices: indices.slice(), parts },
    surface: { materials, images },
    box,
    length,
    rows: rows.length - 1,
    axes,
    seam,
    figures,
    parts: parts.map(({ name, material, start, count }) => {
      let [from, to] = [Infinity, -Infinity];
      for (let i = start; i < start + count; i++) {
        const x = positions[indices[i] * 3];
        from = Math.min(from, x);
        to = Math.max(to, x);
      }
      return { name, material, from, to };
    }),
  };
}
