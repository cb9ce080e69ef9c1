import { boxOf } from '../mesh/box';
import type { GuideMesh } from './guide-body';
import { bodySize, guideBody, turned, type GuideSpec } from './guide-spec';

type Triangles = Pick<GuideMesh, 'positions' | 'normals' | 'indices'>;

/** The guide in the scene; `brought` is its mesh in the file's units where it is one. */
export function buildGuide({ shape, position, turn }: GuideSpec, brought?: Triangles): GuideMesh {
  const own = shape.from === 'body' ? buildBody(shape) : brought;
  if (!own) throw new Error('a brought guide without its mesh');
  const unit = shape.from === 'asset' ? shape.unit : 1;
  const axes = [turned([1, 0, 0], turn), turned([0, 1, 0], turn), turned([0, 0, 1], turn)] as const;
  const carried = (from: Float32Array, scale: number, by: readonly number[]) => {
    const to = new Float32Array(from.length);
    for (let i = 0; i < from.length; i += 3)
      for (let c = 0; c < 3; c++)
        to[i + c] = (axes[0][c] * from[i] + axes[1][c] * from[i + 1] + axes[2][c] * from[i + 2]) * scale + by[c];
    return to;
  };
  const positions = carried(own.positions, unit, position);
  return { positions, normals: carried(own.normals, 1, [0, 0, 0]), indices: own.indices, box: boxOf(positions) };
}

function buildBody({ kind, sizes }: Extract<GuideSpec['shape'], { from: 'body' }>): Triangles {
  const body = guideBody(kind);
  return body.build((key) =>
    bodySize(
      sizes,
      body.fields.find((field) => field.key === key)!,
    ),
  );
}

/** The socket's mouth: where an end goes in, and the way out of it. */
export const mouthOf = ({ position, turn }: GuideSpec) => ({
  position,
  direction: turned([0, 1, 0], turn),
});
