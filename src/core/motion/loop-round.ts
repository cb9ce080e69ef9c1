import type { LayingSpec } from '../layout/laying-spec';
import type { Layout } from '../layout/layout';

/** A round, and how far it may go on so that it looks as it did. */
export interface Round {
  /** Metres round. */
  readonly length: number;
  /** Metres within a round, ascending; the first is 0. Where pins lie on a bend the ways from one to the next are not all as long. */
  readonly alike: readonly number[];
}

/** The round that a layout is, by its pieces that are alike; undefined where it is none. */
export function roundOf(
  { placements, round }: Layout,
  length: number,
  { pattern, everyOther, pieces }: Pick<LayingSpec, 'pattern' | 'everyOther' | 'pieces'>,
): Round | undefined {
  if (!round || placements.length === 0) return undefined;
  const every = Math.max(everyOther.every, 1);
  const isMixed = pattern.kind !== 'same' || pieces.length > 0 || placements.length % every > 0;
  if (isMixed) return { length, alike: [0] };
  const [{ station: first }] = placements;
  return { length, alike: placements.filter((_, i) => i % every === 0).map(({ station }) => station - first) };
}

/** The way nearest to one after which a round looks as it did, the same way round, metres; never none. */
export function alikeAfter(way: number, { length, alike }: Round): number {
  const rounds = Math.floor(way / length) * length;
  const ways = [...alike, length].map((own) => rounds + own);
  const ahead = ways.filter((own) => (way < 0 ? own < 0 : own > 0));
  if (ahead.length === 0) return way < 0 ? (alike.at(-1) || 0) - length || -length : (alike[1] ?? length);
  return ahead.reduce((best, own) => (Math.abs(own - way) < Math.abs(best - way) ? own : best));
}
