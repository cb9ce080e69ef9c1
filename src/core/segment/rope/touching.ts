/**
 * Least distance between the centre lines of neighbours among `count` equal helices, evenly spread: helix radius `radius`, lay length
 * `lay`, metres. Minimum over t of 2 a^2 (1 - cos(2 pi/N - t)) + (H/2 pi)^2 t^2, square root (S. Neukirch & G. H. M. van der
 * Heijden, J. Elasticity 69, 2002).
 */
export function neighbourDistance(count: number, radius: number, lay: number): number {
  const psi = (2 * Math.PI) / count;
  if (!Number.isFinite(lay)) return 2 * radius * Math.sin(psi / 2);
  const c = lay / (2 * Math.PI);
  const square = (t: number) => 2 * radius * radius * (1 - Math.cos(psi - t)) + c * c * t * t;
  // The distance may have two valleys: look at many places, then go down into the lowest.
  const steps = 64;
  let best = 0;
  for (let i = 1; i <= steps; i++) if (square((psi * i) / steps) < square((psi * best) / steps)) best = i;
  let low = (psi * Math.max(best - 1, 0)) / steps;
  let high = (psi * Math.min(best + 1, steps)) / steps;
  const golden = (Math.sqrt(5) - 1) / 2;
  for (let i = 0; i < 80 && high - low > 1e-15; i++) {
    const a = high - golden * (high - low);
    const b = low + golden * (high - low);
    if (square(a) < square(b)) high = b;
    else low = a;
  }
  return Math.sqrt(Math.min(square((low + high) / 2), square(0), square(psi)));
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
