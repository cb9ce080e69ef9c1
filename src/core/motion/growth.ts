import { z } from 'zod';
import type { FormField } from '../math/form-field';
import type { Kind } from '../math/kind';
import type { Passes } from '../segment/pieces/row-density';
import type { Reach } from '../shape/reach';

/** What grows: the reach, and the station from which it does, metres. */
export interface Growing {
  readonly reach: Reach;
  readonly origin: number;
}

/** What of a finished run is there, moved by so many metres along it. */
export interface Span extends Reach {
  readonly shift: number;
}

/** How one piece is there: as large as this share of itself, and moved along the path and up by so many metres. */
export interface Arrival {
  readonly size: number;
  readonly along: number;
  readonly up: number;
}

/** A piece that is laid: its place among so many, where its middle is to lie, and half its length, metres. */
export interface Arriving {
  readonly piece: number;
  readonly count: number;
  readonly middle: number;
  readonly half: number;
}

/** What of a run is there. What is absent changes nothing. */
export interface GrowthPose {
  /** What lies at station s of the finished run lies at origin + scale (s - origin). */
  readonly scale?: number;
  /** Ascending and apart as they lie; cut truly. */
  readonly spans?: readonly Span[];
  /** Of single pieces; undefined = it is not there yet. */
  readonly arrival?: (piece: Arriving) => Arrival | undefined;
}

/** How soon pieces follow each other: seconds from one to the next, or metres of the path a second; 0 = all at once, as a speed too. */
export interface Stagger<S> {
  readonly label: string;
  readonly unit: 's' | 'm/s';
  readonly value: number;
  /** The options with which it is so. */
  with(value: number): S;
}

/** A run coming into being; adding one is a file in `growths/` and a line in its list. */
export interface Growth<K extends string = string, S extends z.ZodType = z.ZodType> extends Kind<K, S> {
  /** What of the path pieces come over that begins at the reach's start. */
  passes(options: z.infer<S>): Passes;
  /** Seconds that it takes; 0 = all is there at once. */
  seconds(options: z.infer<S>): number;
  /** In a few words, before the seconds. */
  readonly words: string;
  /** Whether shares beyond 1, to which a pace may go, are something else than the whole; absent = they are not. */
  goesBeyond?(options: z.infer<S>): boolean;
  /** What is there at a share of the way between 0 and 1, neither of them, or beyond. */
  poseAt(options: z.infer<S>, share: number, growing: Growing): GrowthPose;
  /** How piece follows on piece, of so many on so many metres; absent = it does not go by pieces. */
  stagger?(options: z.infer<S>, laid: { readonly count: number; readonly length: number }): Stagger<z.infer<S>>;
  /** The share at which that is there which lies at a share of the way from the origin to the end; absent = the same one. */
  reaches?(options: z.infer<S>, away: number): number;
}

export const defineGrowth = <K extends string, S extends z.ZodType>(growth: Growth<K, S>): Growth<K, S> => growth;

export const secondsSchema = z.number().min(0.04).max(3600);

export const secondsField: FormField = {
  input: 'number',
  key: 'seconds',
  label: 'Takes',
  unit: 's',
  step: 0.1,
  least: 0.04,
  most: 3600,
};
