import { helixDistance, touchingRadius } from './touching';

/** Where a cord of a bundle lies across it: metres from the middle, radians round it. */
export interface PackedCord {
  readonly radius: number;
  readonly angle: number;
  readonly size: number;
}

export interface Packing {
  readonly count: number;
  /** Diameter of the cords, and of the one in the middle where there is one. */
  readonly size: number;
  readonly middleSize: number;
  readonly hasMiddle: boolean;
  /** Metres of one turn; Infinity = straight. */
  readonly layLength: number;
}

/**
 * Packs cords: up to seven as a ring of touching helices with or without one in the middle; more in hexagonal layers.
 * Undefined where the turns are too tight for them.
 */
export function packCords({
  count,
  size,
  middleSize,
  hasMiddle,
  layLength,
}: Packing): readonly PackedCord[] | undefined {
  if (count === 1) return [{ radius: 0, angle: 0, size }];
  if (count > 7) return hexagonal(count, size, layLength);
  const ring = hasMiddle && count > 2 ? count - 1 : count;
  const touching = touchingRadius(ring, size, layLength);
  if (touching === undefined) return undefined;
  const radius = hasMiddle && count > 2 ? Math.max(touching, (size + middleSize) / 2) : touching;
  const cords = Array.from({ length: ring }, (_, i) => ({ radius, angle: (2 * Math.PI * i) / ring, size }));
  return ring < count ? [{ radius: 0, angle: 0, size: middleSize }, ...cords] : cords;
}

/** The places of a hexagonal grid nearest to the middle, spread so that the outermost still clear each other when twisted. */
function hexagonal(count: number, size: number, layLength: number): readonly PackedCord[] | undefined {
  const places: { radius: number; angle: number }[] = [];
  const layers = Math.ceil(Math.sqrt(count));
  for (let a = -layers; a <= layers; a++) {
    for (let b = -layers; b <= layers; b++) {
      const [z, y] = [a + b / 2, (b * Math.sqrt(3)) / 2];
      places.push({ radius: Math.hypot(z, y), angle: Math.atan2(z, y) });
    }
  }
  places.sort((p, q) => Math.round((p.radius - q.radius) * 1e6) || p.angle - q.angle);
  const kept = places.slice(0, count).map(({ radius, angle }) => ({ radius: radius * size, angle }));
  const spread = leastSpread(kept, size, layLength);
  if (spread === undefined) return undefined;
  return kept.map(({ radius, angle }) => ({ radius: radius * spread, angle, size }));
}

/** Beyond this the middle of a bundle would be hollow. */
const MOST_SPREAD = 3;

/** By how much the places have to be apart for cords to clear each other when they are twisted; undefined where no such spread is of use. */
function leastSpread(
  places: readonly { readonly radius: number; readonly angle: number }[],
  size: number,
  layLength: number,
): number | undefined {
  const turn = 2 * Math.PI;
  const pairs = places.flatMap((p, i) =>
    places.slice(i + 1).flatMap((q) => {
      const angle = (((q.angle - p.angle) % turn) + turn) % turn;
      const flat = Math.sqrt(p.radius ** 2 + q.radius ** 2 - 2 * p.radius * q.radius * Math.cos(angle));
      return flat < NEIGHBOURS * size ? [{ a: p.radius, b: q.radius, angle }] : [];
    }),
  );
  const isClear = (spread: number) =>
    pairs.every(({ a, b, angle }) => helixDistance(a * spread, b * spread, angle, layLength) >= size * (1 - 1e-9));
  let high = 1;
  while (!isClear(high)) if ((high *= STEP) > MOST_SPREAD) return undefined;
  if (high === 1) return 1;
  let low = high / STEP;
  for (let i = 0; i < 20; i++) {
    const middle = (low + high) / 2;
    if (isClear(middle)) high = middle;
    else low = middle;
  }
  return high;
}

/** The spread is looked for in such steps first. */
const STEP = 1.03;

/** Cords farther apart than so many sizes when straight never meet first. */
const NEIGHBOURS = 2.7;
