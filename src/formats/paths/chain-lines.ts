import { distance, type Vec3 } from '../../core/math/vec3';
import type { BroughtPath } from './path-format';

interface Line {
  readonly name: string;
  readonly places: readonly Vec3[];
}

/** Lines joined where exactly two of them end in one place; closed where a chain comes back to its start. */
export function chainLines(lines: readonly Line[]): BroughtPath[] {
  const numbers = new Map<Vec3 | string, number>();
  /** Places have one number where they are the same, object or not. */
  const numberOf = (place: Vec3): number => {
    const known = numbers.get(place);
    if (known !== undefined) return known;
    const key = place.join();
    const number = numbers.get(key) ?? numbers.size;
    numbers.set(key, number).set(place, number);
    return number;
  };
  const at = new Map<number, number[]>();
  for (const [i, { places }] of lines.entries())
    for (const end of [numberOf(places[0]!), numberOf(places[places.length - 1]!)]) {
      const here = at.get(end);
      if (here) here.push(i);
      else at.set(end, [i]);
    }
  const isUsed = new Uint8Array(lines.length);
  /** Grows a chain from its end as far as it goes. */
  const grow = (chain: Vec3[]): void => {
    for (;;) {
      const end = numberOf(chain[chain.length - 1]!);
      const here = at.get(end)!;
      const next = here.length === 2 ? here.find((i) => !isUsed[i]) : undefined;
      if (next === undefined) return;
      isUsed[next] = 1;
      const { places } = lines[next]!;
      const isForward = numberOf(places[0]!) === end;
      for (let k = 1; k < places.length; k++) chain.push(places[isForward ? k : places.length - 1 - k]!);
    }
  };
  return lines.flatMap((line, i): BroughtPath[] => {
    if (isUsed[i]) return [];
    isUsed[i] = 1;
    const chain = [...line.places];
    grow(chain);
    chain.reverse();
    grow(chain);
    chain.reverse();
    const closed = chain.length > 3 && distance(chain[0]!, chain[chain.length - 1]!) === 0;
    const points = (closed ? chain.slice(0, -1) : chain).map((position) => ({ position }));
    return [{ name: line.name, kind: 'straight', closed, points }];
  });
}
