import { profileKeys, withKeysOver, type ProfileSpec } from '../../core/shape/profile-registry';
import type { LaneSpec } from '../../core/shape/lane-spec';
import type { ShapeSpec } from '../../core/shape/shape-spec';

const gauged = (lane: LaneSpec): Pick<ShapeSpec, 'lanes'> => ({ lanes: { gaugeUp: lane, gaugeSide: lane } });
const profiled = (spec: ProfileSpec, blend: LaneSpec['blend']) => gauged(withKeysOver(undefined, profileKeys(spec), blend)); // prettier-ignore
const keys = (...pairs: readonly (readonly [number, number])[]): LaneSpec => ({
  blend: 'smooth',
  along: 'reach',
  keys: pairs.map(([station, value]) => ({ station, value })),
});

/** How runs of the landing are shaped along their length, by name. */
export const LANDING_SHAPES: Readonly<Record<string, Partial<ShapeSpec>>> = {
  // Carts go at eight metres a second, and the deck leans by four degrees at the most.
  Causeway: {
    follows: { bank: { speed: 8, most: (4 * Math.PI) / 180, ease: 14 } },
    lanes: { density: keys([0, 1], [0.18, 0.9], [0.4, 0.25], [0.7, 0.08], [1, 0.05]) }, // it grows less and less out on the marsh
  },
  // Where its two eyes are spliced.
  'Mooring line': gauged(keys([0, 1.4], [0.05, 1.4], [0.09, 1], [0.91, 1], [0.95, 1.4], [1, 1.4])),
  // Its fittings.
  'Bilge hose': { stiff: [{ from: 0, to: 0.26 }, { from: 3.37, to: 3.63 }] }, // prettier-ignore
  Honeysuckle: profiled({ kind: 'pointed', end: 'end', over: 0.6, tip: 0.3 }, 'straight'),
  'Driftwood spiral': gauged(keys([0, 0.16], [0.25, 0.3], [0.55, 0.42], [0.85, 0.36], [1, 0.15])),
};
