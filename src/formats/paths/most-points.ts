import { fail } from '../../core/math/result';

/** Points of all lines of a file together, at the most: each takes some hundred bytes, and a path keeps 20,000 in the end. */
export const MOST_POINTS = 1_500_000;

export const tooManyPoints = (file: string) => fail('paths.too-many-points', { file, most: MOST_POINTS });
