/**
 * Least distance between the centre lines of neighbours among `count` equal helices, evenly spread: helix radius `radius`, lay length
 * `lay`, metres (S. Neukirch & G. H. M. van der Heijden, J. Elasticity 69, 2002).
 */
export const neighbourDistance = (count: number, radius: number, lay: number): number =>
  helixDistance(radius, radius, (2 * Math.PI) / count, lay);

/**
 * Least distance between the centre lines of two helices about one axis with one lay length: radii a and b, `angle` in [0, 2 pi) from one
 * to the other, metres. Minimum over t of a^2 + b^2 - 2 a b cos(angle - t) + (H/2 pi)^2 t^2, square root; up the axis and down.
 */
export function helixDistance(a: number, b: number, angle: number, lay: number): number {
  const flat = (turn: number) => a * a + b * b - 2 * a * b * Math.cos(turn);
  if (!Number.isFinite(lay)) return Math.sqrt(Math.max(flat(angle), 0));
  const c = lay / (2 * Math.PI);
  const square = (t: number) => flat(angle - t) + c * c * t * t;
  return Math.sqrt(Math.max(Math.min(lowest(square, angle), lowest(square, angle - 2 * Math.PI)), 0));
}

/** The least value of a function with one or two valleys between 0 and `end`: look at many places, then go down into the lowest. */
function lowest(square: (t: number) => number, end: number): number {
  const steps = 64;
  let best = 0;
  let least = square(0);
  for (let i = 1; i <= steps; i++) {
    const value = square((end * i) / steps);
    if (value < least) [best, least] = [i, value];
  }
  let low = (end * Math.max(best - 1, 0)) / steps;
  let high = (end * Math.min(best + 1, steps)) / steps;
  const golden = (Math.sqrt(5) - 1) / 2;
  for (let i = 0; i < 80 && Math.abs(high - low) > 1e-15; i++) {
    const x = high - golden * (high - low);
    const y = low + golden * (high - low);
    if (square(x) < square(y)) high = y;
    else low = x;
  }
  return Math.min(square((low + high) / 2), least);
}

/** Helix radius at which strands of diameter `size` just touch at a lay length; undefined where that many do not fit into it. */
export function touchingRadius(count: number, size: number, lay: number): number | undefined {
  const straight = size / (2 * Math.sin(Math.PI / count));
  if (neighbourDistance(count, straight, lay) >= size * (1 - 1e-15)) return straight;
  if (lay <= count * size) return undefined; // one turn holds every strand once, each at least its size high
  return rising((radius) => neighbourDistance(count, radius, lay) - size, straight);
}

/** Shortest lay length at which strands of diameter `size` on a helix of this radius just touch; undefined where it is too narrow. */
export function touchingLay(count: number, size: number, radius: number): number | undefined {
  if (radius < (size / (2 * Math.sin(Math.PI / count))) * (1 - 1e-12)) return undefined;
  return rising((lay) => neighbourDistance(count, radius, lay) - size * (1 - 1e-12), count * size);
}

/** Where a rising function of a positive number passes zero, from `low` on; undefined when it never does. */
function rising(f: (x: number) => number, from: number): number | undefined {
  let low = from;
  let high = from * 1.05;
  for (let i = 0; f(high) < 0; i++) {
    if (i > 400) return undefined;
    low = high;
    high *= 1.05;
  }
  for (let i = 0; i < 200 && high - low > 1e-16 * high; i++) {
    const middle = (low + high) / 2;
    if (f(middle) < 0) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
