import { Primitive, type Accessor, type Node } from '@gltf-transform/core';
import { fail, ok } from '../../core/math/result';
import type { Vec3 } from '../../core/math/vec3';
import { readGlb } from '../gltf-io';
import { chainLines } from './chain-lines';
import { MOST_POINTS, tooManyPoints } from './most-points';
import { type BroughtPath, type ReadPaths } from './path-format';

/** Lines, line strips and loops of a GLB (glTF 2.0, section 3.7.2.1), in metres with y up. Problems: those of glTF, and `paths.none`. */
export const readGlbLines: ReadPaths = async (main) => {
  const read = await readGlb(main);
  if (!read.ok) return read;
  const root = read.value.getRoot();
  const paths: BroughtPath[] = [];
  let points = 0;
  const visit = (node: Node): void => {
    const name = node.getName() || node.getMesh()?.getName() || `Line ${paths.length + 1}`;
    for (const primitive of node.getMesh()?.listPrimitives() ?? []) {
      const position = primitive.getAttribute('POSITION');
      points += (primitive.getIndices() ?? position)?.getCount() ?? 0;
      if (points > MOST_POINTS) return;
      if (position) for (const path of linesOf(primitive, placesOf(position, primitive, node), name)) paths.push(path);
    }
    node.listChildren().forEach(visit);
  };
  (root.getDefaultScene() ?? root.listScenes()[0])?.listChildren().forEach(visit);
  if (points > MOST_POINTS) return tooManyPoints(main.name);
  const isSound = paths.every(({ points }) => points.every((point) => point.position.every(Number.isFinite)));
  if (!isSound) return fail('gltf.broken', { file: main.name, reason: 'a line names a vertex that is not there' });
  return paths.length > 0 ? ok({ paths, unit: 1, isFlat: false, up: 'y' }) : fail('paths.none', { file: main.name });
};

function placesOf(position: Accessor, primitive: Primitive, node: Node): Vec3[] {
  const m = node.getWorldMatrix();
  const indices = primitive.getIndices();
  const count = indices?.getCount() ?? position.getCount();
  const v: number[] = [];
  return Array.from({ length: count }, (_, i): Vec3 => {
    const [x, y, z] = position.getElement(indices ? indices.getScalar(i) : i, v) as [number, number, number];
    const at = (r: number) => m[r] * x + m[r + 4] * y + m[r + 8] * z + m[r + 12];
    return [at(0), at(1), at(2)];
  });
}

function linesOf(primitive: Primitive, places: readonly Vec3[], name: string): BroughtPath[] {
  const mode = primitive.getMode();
  if (mode === Primitive.Mode.LINES) {
    const pairs = Array.from({ length: Math.floor(places.length / 2) }, (_, i) => places.slice(2 * i, 2 * i + 2));
    return chainLines(pairs.map((pair) => ({ name, places: pair })));
  }
  const closed = mode === Primitive.Mode.LINE_LOOP;
  if ((mode !== Primitive.Mode.LINE_STRIP && !closed) || places.length < 2) return [];
  return [{ name, kind: 'straight', closed, points: places.map((position) => ({ position })) }];
}
