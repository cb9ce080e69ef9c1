import type { Walk } from './chords';
import type { LaidPath } from './laid-path';
import type { Layout } from './layout';
import type { RuleSpec } from './registry';

/** Where links lie pin to pin when all of them have gone so many metres along the path: stations and places of pins. */
export type Repin = (shift: number) => Pick<Walk, 'stations' | 'pins'>;

/** Links of a layout farther along: a loop with as many, an open chain with as many as fit. */
export function buildRepin({ reach, round, pinned, placements }: Layout, rule: RuleSpec, path: LaidPath): Repin {
  const chords = path.chords(reach.from, reach.to);
  const count = placements.filter(({ kind }) => kind === 'body').length;
  const { pitch } = pinned!;
  const isShared = round && rule.kind === 'pinToPin' && rule.slack === 'shared';
  return (shift) => (isShared ? chords.closed(pitch, 1, { count, shift }) : chords.walk(pitch, shift));
}
