import { neighbourDistance, touchingLay, touchingRadius } from './touching';

/** The three sizes of a rope of equal strands, metres. */
export interface RopeSizes {
  readonly strandSize: number;
  readonly helixRadius: number;
  readonly layLength: number;
}

export type RopeUnknown = keyof RopeSizes;

/** The sizes with the unknown one such that neighbours just touch; undefined where no such rope exists. */
export function solveRope(strands: number, sizes: RopeSizes, find: RopeUnknown): RopeSizes | undefined {
  const { strandSize, helixRadius, layLength } = sizes;
  if (find === 'strandSize') return { ...sizes, strandSize: neighbourDistance(strands, helixRadius, layLength) };
  if (find === 'helixRadius') {
    const found = touchingRadius(strands, strandSize, layLength);
    return found === undefined ? undefined : { ...sizes, helixRadius: found };
  }
  const found = touchingLay(strands, strandSize, helixRadius);
  return found === undefined ? undefined : { ...sizes, layLength: found };
}

/** The angle of the strands to the rope's axis, radians. */
export const layAngle = ({ helixRadius, layLength }: RopeSizes): number =>
  Math.atan2(2 * Math.PI * helixRadius, layLength);

/** The same rope with the lay length that gives the strands this angle to the axis, strand size and what is unknown kept. */
export function withLayAngle(
  strands: number,
  sizes: RopeSizes,
  find: RopeUnknown,
  angle: number,
): RopeSizes | undefined {
  const turn = (2 * Math.PI) / Math.tan(angle);
  if (find !== 'helixRadius')
    return solveRope(strands, { ...sizes, layLength: sizes.helixRadius * turn }, 'strandSize');
  // Shape depends on the angle alone: solve for radius 1, then scale to the strand size.
  const distance = neighbourDistance(strands, 1, turn);
  const helixRadius = sizes.strandSize / distance;
  return { strandSize: sizes.strandSize, helixRadius, layLength: helixRadius * turn };
}

/** Length of strand in one lay length, metres. */
export const strandLength = ({ helixRadius, layLength }: RopeSizes): number =>
  Math.hypot(2 * Math.PI * helixRadius, layLength);
