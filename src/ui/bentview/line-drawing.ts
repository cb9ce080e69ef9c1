import { useEffect, useMemo } from 'react';
import {
  BufferAttribute,
  BufferGeometry,
  DoubleSide,
  MeshBasicMaterial,
  MeshStandardMaterial,
  type Material,
} from 'three';
import { drawnEdges } from '../../core/mesh/drawn-edges';
import type { Mesh } from '../../core/mesh/mesh';
import { useDark } from '../place/use-place';
import { usePicture } from '../state/app-context';
import { fading, meanLength } from './fading-lines';

/** What a mesh is drawn with where its rows and seams are shown over clay. */
export interface LineDrawing {
  readonly clay: Material;
  /** Drawn with `wire`: triangles without a surface, one for each edge, on the vertices of the mesh. */
  readonly edges: BufferGeometry;
  readonly wire: Material;
}

const COLOURS = { light: { clay: '#cdc4b3', wire: '#22303A' }, dark: { clay: '#8b8880', wire: '#E9E2D3' } } as const;

/** `undefined` where the picture shows materials. */
export function useLineDrawing(mesh: Pick<Mesh, 'positions' | 'indices'>): LineDrawing | undefined {
  const isLines = usePicture((s) => s.picture) === 'lines';
  const { clay, wire } = COLOURS[useDark() ? 'dark' : 'light'];
  const { indices } = mesh;
  const drawing = useMemo(() => {
    if (!isLines) return undefined;
    const pairs = drawnEdges(mesh);
    const faces = new Uint32Array((pairs.length / 2) * 3);
    for (let i = 0, k = 0; i < pairs.length; i += 2, k += 3) faces.set([pairs[i], pairs[i + 1], pairs[i + 1]], k);
    const edges = new BufferGeometry().setIndex(new BufferAttribute(faces, 1));
    return {
      clay: new MeshStandardMaterial({ color: clay, roughness: 0.95, side: DoubleSide, polygonOffset: true, polygonOffsetFactor: 1, polygonOffsetUnits: 1 }), // prettier-ignore
      edges,
      wire: fading(
        new MeshBasicMaterial({ color: wire, wireframe: true, transparent: true, opacity: 0.38, depthWrite: false }),
        meanLength(mesh.positions, pairs),
      ),
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- which edges are drawn stays when vertices only move
  }, [indices, isLines, clay, wire]);
  useEffect(
    () => () => {
      drawing?.clay.dispose();
      drawing?.wire.dispose();
      drawing?.edges.dispose();
    },
    [drawing],
  );
  return drawing;
}
