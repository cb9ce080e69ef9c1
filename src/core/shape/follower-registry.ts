import { z } from 'zod';
import type { FrameTable } from '../frames/frame-table';
import type { Follower } from './follower';
import { followers } from './followers';
import type { ShapeLane } from './shape-lane';

export type FollowerName = keyof typeof followers;

/** What of a run follows from how its path bends; absent = does not. */
export const followsSchema = z.strictObject({
  bank: followers.bank.schema.optional(),
  thin: followers.thin.schema.optional(),
} satisfies Record<FollowerName, z.ZodType>);

export type FollowsSpec = z.infer<typeof followsSchema>;

/** By name, in the order in which people are shown them. */
export const FOLLOWERS = followers as unknown as Readonly<Record<FollowerName, Follower>>;

/** The lanes of all that follows. */
export const followingLanes = (table: FrameTable, follows: FollowsSpec = {}): readonly ShapeLane[] =>
  Object.entries(follows).flatMap(([name, options]) =>
    options ? FOLLOWERS[name as FollowerName].lanes(table, options) : [],
  );
