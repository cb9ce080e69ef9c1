import { z } from 'zod';
import { kinds } from './kinds';
import type { MotionKind } from './motion-kind';

kinds satisfies { [K in keyof typeof kinds]: { kind: K } };

export type MotionName = keyof typeof kinds;
export type MotionSpec = { [K in MotionName]: z.infer<(typeof kinds)[K]['schema']> }[MotionName];
type AnyMotion = MotionKind<MotionName, z.ZodType<MotionSpec>>;

export const MOTIONS = Object.values(kinds) as unknown as readonly AnyMotion[];

export const motionSpecSchema = z.discriminatedUnion(
  'kind',
  MOTIONS.map(({ schema }) => schema) as unknown as [
    (typeof kinds)[MotionName]['schema'],
    ...(typeof kinds)[MotionName]['schema'][],
  ],
);

export const motionOf = ({ kind }: Pick<MotionSpec, 'kind'>): AnyMotion => kinds[kind];

/** Seconds that a motion plays; 0 = it does not move. */
export const secondsOf = (motion: MotionSpec): number => motionOf(motion).seconds(motion);
