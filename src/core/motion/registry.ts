import type { z } from 'zod';
import { specSchemaOf, type SpecOf } from '../math/kind';
import { kinds } from './kinds';
import type { MotionKind } from './motion-kind';

export type MotionName = keyof typeof kinds;
export type MotionSpec = SpecOf<typeof kinds>;
type AnyMotion = MotionKind<MotionName, z.ZodType<MotionSpec>>;

export const MOTIONS = Object.values(kinds) as unknown as readonly AnyMotion[];

export const motionSpecSchema = specSchemaOf(kinds);

export const motionOf = ({ kind }: Pick<MotionSpec, 'kind'>): AnyMotion => kinds[kind];

/** Seconds that a motion plays; 0 = it does not move. */
export const secondsOf = (motion: MotionSpec): number => motionOf(motion).seconds(motion);
