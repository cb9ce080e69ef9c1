import type { LanePick } from '../../project/commands/lanes';
import type { QuantityName } from '../fields/quantity';

export interface LaneKind {
  readonly label: string;
  /** Pixels, as it begins and at the least. */
  readonly height: number;
  readonly least: number;
  /** Of a lane with keys: what its values are, and what they are where nothing is said. */
  readonly quantity?: QuantityName;
  readonly neutral?: number;
  /** The smallest sensible change. */
  readonly step?: number;
  readonly min?: number;
}

const offset = { quantity: 'length', neutral: 0, step: 0.01, height: 30, least: 26 } as const;
const gauge = { quantity: 'plain', neutral: 1, step: 0.05, min: 0.001, height: 30, least: 26 } as const;

/** All lanes of the straight view over the length, in the order in which people are offered them. */
export const LANE_KINDS = {
  pieces: { label: 'Pieces', height: 32, least: 24 },
  tightness: { label: 'Tightness', height: 40, least: 30 },
  roll: { label: 'Roll', quantity: 'angle', neutral: 0, step: Math.PI / 180, height: 30, least: 26 },
  gauge: { label: 'Gauge', ...gauge },
  gaugeUp: { label: 'Gauge, up', ...gauge },
  gaugeSide: { label: 'Gauge, sideways', ...gauge },
  offsetUp: { label: 'Offset, up', ...offset },
  offsetSide: { label: 'Offset, right', ...offset },
  textureShift: { label: 'Texture moved', ...offset },
  density: { label: 'Density', quantity: 'plain', neutral: 1, step: 0.05, min: 0, height: 30, least: 26 },
  twist: { label: 'Twist', height: 30, least: 26 },
  stretch: { label: 'Stretch', height: 30, least: 26 },
} as const satisfies Record<string, LaneKind> & Record<LanePick, LaneKind>;

export type LaneKindName = keyof typeof LANE_KINDS;

export const laneKind = (name: LaneKindName): LaneKind => LANE_KINDS[name];

/** Whether a lane has keys. */
export const isKeyed = (name: LaneKindName): name is LanePick => laneKind(name).quantity !== undefined;
