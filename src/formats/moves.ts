import type { JointTrack } from '../core/bending/joint-poses';

/** How a mesh moves; adding a way is one more of these and a writer of it in `gltf-moves.ts`. */
export type Moves =
  /** Each of its places moves, with the mesh that stands there: one track a place. */
  | { readonly by: 'places'; readonly times: Float32Array; readonly tracks: readonly JointTrack[] }
  /** It hangs on joints: of each vertex four, and how much on which; how each joint stood when it was bound, as the inverse of a matrix by columns. */
  | {
      readonly by: 'joints';
      readonly times: Float32Array;
      readonly tracks: readonly JointTrack[];
      readonly joints: Uint16Array;
      readonly weights: Float32Array;
      readonly binds: readonly Float64Array[];
    }
  /** It goes from shape to shape: how far each vertex and normal is off at each of the times, flat xyz. */
  | {
      readonly by: 'shapes';
      readonly times: Float32Array;
      readonly shapes: readonly { readonly positions: Float32Array; readonly normals: Float32Array }[];
    };
