import type { GuideMesh } from './guide-body';

type Body = Pick<GuideMesh, 'positions' | 'normals' | 'indices'>;

/** Several bodies as one. */
export function joinedBody(bodies: readonly Body[]): Body {
  let base = 0;
  const indices = bodies.flatMap(({ positions, indices: own }) => {
    const moved = [...own].map((i) => base + i);
    base += positions.length / 3;
    return moved;
  });
  return {
    positions: Float32Array.from(bodies.flatMap(({ positions }) => [...positions])),
    normals: Float32Array.from(bodies.flatMap(({ normals }) => [...normals])),
    indices: Uint32Array.from(indices),
  };
}
