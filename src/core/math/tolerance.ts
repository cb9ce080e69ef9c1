/** Every tolerance of the core in one place. Relative ones are multiplied by the size of what they are held against. */

/** Arc length: relative error allowed to a leg's quadrature. */
export const ARC_LENGTH_RELATIVE = 1e-10;
/** Two positions closer than this share of the model's size are one. */
export const COINCIDENT_RELATIVE = 1e-9;
/** Laying: pieces that are too long for a reach by less than this share fit exactly; natural lengths are rounded to 32 bits. */
export const EXACT_FIT = 2.5e-7;
/** Slicing: a vertex nearer to a plane than this share of the segment's length lies on it. */
export const ON_PLANE_RELATIVE = 1e-6;
/** Rows: vertices whose x differ by less than this share of the length belong to one row. */
export const SAME_ROW_RELATIVE = 1e-7;
/** A tangent that jumps by more than this many radians is a sharp corner. */
export const KINK_ANGLE = 1e-4;
/** Keep upright: within this many radians of the up direction a path counts as vertical. */
export const STEEP_ANGLE = (5 * Math.PI) / 180;
/** Straight: curvature below this many 1/m is no bend. */
export const STRAIGHT_CURVATURE = 1e-9;
/** Frames: forward turns by no more than so many radians from one sample to the next. */
export const MOST_TURN = 0.16;
/** Mitres of corners reach so many half widths out at the most: that of the sharpest is 151 degrees. */
export const MITRE_LIMIT = 4;
/** Corners that turn by more than this, radians, have an edge of their own and are told of; gentler ones are shaded smoothly. */
export const CREASE_ANGLE = (15 * Math.PI) / 180;

/** Metres from the world's origin up to which meshes count from there: 32-bit numbers are good to a sixteen-thousandth of a metre. */
export const NEAR_ORIGIN = 500;
