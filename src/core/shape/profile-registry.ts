import type { z } from 'zod';
import { specSchemaOf, type SpecOf } from '../math/kind';
import { compileLane, type LaneKey, type LaneSpec } from './lane-spec';
import type { Profile } from './profile';
import { profiles } from './profiles';

export type ProfileName = keyof typeof profiles;
export type ProfileSpec = SpecOf<typeof profiles>;
type AnyProfile = Profile<ProfileName, z.ZodType<ProfileSpec>>;

export const PROFILES = Object.values(profiles) as unknown as readonly AnyProfile[];

export const profileSpecSchema = specSchemaOf(profiles);

export const profileOf = ({ kind }: Pick<ProfileSpec, 'kind'>): AnyProfile => profiles[kind];

/** A reach that is counted in shares. */
export const UNIT_REACH = { from: 0, to: 1 } as const;

/** Keys in shares of the reach laid over a lane that counts so too: in the stead of those between them, and times what was there. */
export function withKeysOver(lane: LaneSpec | undefined, keys: readonly LaneKey[], blend: LaneSpec['blend']): LaneSpec {
  if (!lane) return { blend, along: 'reach', keys: [...keys] };
  const before = compileLane(lane, UNIT_REACH);
  const [first, last] = [keys[0].station, keys[keys.length - 1].station];
  const outside = lane.keys.filter(({ station }) => station < first || station > last);
  const laid = keys.map(({ station, value }) => ({ station, value: value * before.at(station)[0] }));
  return { ...lane, keys: [...outside, ...laid].toSorted((a, b) => a.station - b.station) };
}

export const profileKeys = (spec: ProfileSpec): readonly LaneKey[] => profileOf(spec).keys(spec);
