import type { z } from 'zod';
import type { Kind } from '../math/kind';
import type { Passes } from '../segment/pieces/row-density';
import type { Reach } from '../shape/reach';

/** What a motion moves: metres. */
export interface Moved {
  readonly reach: Reach;
  /** The last piece meets the first, all round a closed path. */
  readonly round: boolean;
  /** From the first piece's start to where one after the last would begin. */
  readonly period: number;
}

/** What of a run is there at a time: what lay at station s lies at from + scale (s - from) + shift. */
export interface MotionPose {
  readonly scale: number;
  readonly shift: number;
  /** Pieces come again after a period, and no more of them shows than lies in here; absent = all of them, wherever they lie. */
  readonly window?: Reach;
}

/** How a run moves; adding one is a file in `kinds/` and a line in its list. */
export interface MotionKind<K extends string = string, S extends z.ZodType = z.ZodType> extends Kind<K, S> {
  /** What of the path pieces come over. */
  readonly passes: Passes;
  /** Seconds that it plays; 0 = it does not move. */
  seconds(options: z.infer<S>): number;
  /** In a few words, with numbers. */
  summary(options: z.infer<S>): MotionSummary;
  /** At a time from 0 on, seconds; undefined = nothing is there yet. */
  poseAt(options: z.infer<S>, time: number, moved: Moved): MotionPose | undefined;
}

/** Words before a number: metres per second or seconds. */
export interface MotionSummary {
  readonly words: string;
  readonly value?: number;
  readonly unit?: 's' | 'm/s';
}

export const defineMotion = <K extends string, S extends z.ZodType>(kind: MotionKind<K, S>): MotionKind<K, S> => kind;
