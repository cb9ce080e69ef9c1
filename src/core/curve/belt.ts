import { fail, ok, type Result } from '../math/result';

/** A wheel in the belt's plane, metres; side 1 = within the belt's loop, -1 = pressing from outside. */
export interface Wheel {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
  readonly side: 1 | -1;
}

/** How the belt lies on one wheel: the arc from angle `from` by `turn` (positive: to the left); from there it runs straight to the next. */
export interface BeltWrap {
  readonly from: number;
  readonly turn: number;
}

/**
 * A taut belt over wheels in their order. With the wheel to its left (side 1) or right (-1) the belt runs at c - side r n, n its left
 * normal; a common tangent has D . n = s2 r2 - s1 r1 along the line of centres D (elementary).
 * Problems: `belt.overlap` with the two wheels, `belt.misses` with the wheel.
 */
export function wrapBelt(wheels: readonly Wheel[]): Result<BeltWrap[]> {
  const n = wheels.length;
  const headings: number[] = [];
  for (let i = 0; i < n; i++) {
    const [a, b] = [wheels[i], wheels[(i + 1) % n]];
    const [dx, dy] = [b.x - a.x, b.y - a.y];
    const apart = Math.hypot(dx, dy);
    const across = b.side * b.radius - a.side * a.radius;
    if (Math.abs(across) >= apart) return fail('belt.overlap', { first: i + 1, second: ((i + 1) % n) + 1 });
    headings.push(Math.atan2(dy, dx) - Math.asin(across / apart));
  }
  const wraps: BeltWrap[] = [];
  for (const [i, { side }] of wheels.entries()) {
    const [comes, goes] = [headings[(i + n - 1) % n], headings[i]];
    let wrap = (side * (goes - comes)) % (2 * Math.PI);
    if (wrap < 0) wrap += 2 * Math.PI;
    if (2 * Math.PI - wrap < 1e-9) wrap = 0;
    wraps.push({ from: comes - (side * Math.PI) / 2, turn: side * wrap });
  }
  // A loop turns once in all, a crossed one not at all. More turning is a belt that winds round a wheel that it would miss.
  const turning = wraps.reduce((sum, { turn }) => sum + turn, 0);
  if (Math.abs(turning) < 2 * Math.PI + 1e-6) return ok(wraps);
  const most = wraps.reduce((best, { turn }, i) => (Math.abs(turn) > Math.abs(wraps[best].turn) ? i : best), 0);
  return fail('belt.misses', { wheel: most + 1 });
}
