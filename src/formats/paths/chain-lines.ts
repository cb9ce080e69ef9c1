import { distance, type Vec3 } from '../../core/math/vec3';
import type { BroughtPath } from './path-format';
import { PlaceNumbers } from './place-numbers';

interface Line {
  readonly name: string;
  readonly places: readonly Vec3[];
}

/** Lines joined where exactly two of them end in one place; closed where a chain comes back to its start. */
export function chainLines(lines: readonly Line[]): BroughtPath[] {
  const numbers = new PlaceNumbers(lines.length * 2);
  const start = Int32Array.from(lines, ({ places }) => numbers.of(places[0]));
  const end = Int32Array.from(lines, ({ places }) => numbers.of(places[places.length - 1]));
  // How many lines end in a place, and two of them.
  const count = new Int32Array(numbers.count);
  const ending = new Int32Array(numbers.count * 2);
  for (let i = 0; i < lines.length; i++)
    for (const place of [start[i], end[i]]) {
      if (count[place] < 2) ending[place * 2 + count[place]] = i;
      count[place]++;
    }
  const isUsed = new Uint8Array(lines.length);
  /** Grows a chain from the place where it ends as far as it goes. */
  const grow = (chain: Vec3[], from: number): void => {
    for (let place = from; count[place] === 2;) {
      const [a, b] = [ending[place * 2], ending[place * 2 + 1]];
      if (isUsed[a] && isUsed[b]) return;
      const next = isUsed[a] ? b : a;
      isUsed[next] = 1;
      const { places } = lines[next];
      const isForward = start[next] === place;
      for (let k = 1; k < places.length; k++) chain.push(places[isForward ? k : places.length - 1 - k]);
      place = isForward ? end[next] : start[next];
    }
  };
  return lines.flatMap((line, i): BroughtPath[] => {
    if (isUsed[i]) return [];
    isUsed[i] = 1;
    const chain = [...line.places];
    grow(chain, end[i]);
    chain.reverse();
    grow(chain, start[i]);
    chain.reverse();
    const closed = chain.length > 3 && distance(chain[0], chain[chain.length - 1]) === 0;
    const points = (closed ? chain.slice(0, -1) : chain).map((position) => ({ position }));
    return [{ name: line.name, kind: 'straight', closed, points }];
  });
}
