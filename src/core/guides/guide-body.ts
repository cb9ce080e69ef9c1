import type { Box } from '../mesh/box';

/** A number of a simple body as a form shows it: metres, or a whole number of things. */
export interface BodyField {
  readonly key: string;
  readonly label: string;
  readonly initial: number;
  readonly isCount?: boolean;
}

/** A guide as triangles: flat xyz; normals as smooth as the body is. */
export interface GuideMesh {
  readonly positions: Float32Array;
  readonly normals: Float32Array;
  readonly indices: Uint32Array;
  readonly box: Box;
}

/** A simple body to aim at or keep clear of; adding one is a file in `bodies/` and a line in its list. */
export interface GuideBody<K extends string = string> {
  readonly kind: K;
  readonly label: string;
  readonly hint: string;
  readonly fields: readonly BodyField[];
  /** Nothing to keep clear of or to wind round: a face to draw on, a place to plug into. */
  readonly isOpen?: boolean;
  /** It stands on its origin, y up, unless its hint says otherwise. */
  build(size: (key: string) => number): Pick<GuideMesh, 'positions' | 'normals' | 'indices'>;
}

export const defineGuideBody = <K extends string>(body: GuideBody<K>): GuideBody<K> => body;
