import type { z } from 'zod';
import type { Problem } from '../math/result';
import type { Mesh } from '../mesh/mesh';
import type { CrossSection } from './cross-section';
import type { Kind } from '../math/kind';
import type { Dresses } from './dresses';
import type { StiffZone } from './stiff-zones';

/** Something worth knowing of what was made: metres, radians or a plain number. */
export interface MakerFigure {
  readonly label: string;
  readonly value: number;
  readonly unit: 'm' | 'angle' | 'plain';
}

/** What makers are sorted by, in the order in which people are shown them. */
export const MAKER_GROUPS = {
  roads: 'Roads and strips',
  ropes: 'Ropes, hoses and cords',
  chains: 'Chains and belts',
  stairs: 'Stairs and fences',
  plants: 'Plants',
  dressing: 'Dressing',
} as const;

/** What a turned profile is drawn from; corners lie along the axis (z) and away from it (y). */
export interface TurnedOutline extends Pick<CrossSection, 'corners' | 'strips'> {
  readonly flatEnds: boolean;
}

/** Makes a segment from few numbers; adding one is a file in `makers/` and a line in its list. */
export interface Maker<K extends string = string, S extends z.ZodType = z.ZodType> extends Kind<K, S> {
  readonly group: keyof typeof MAKER_GROUPS;
  /** A mesh along +x from 0 to its length, the path at y = 0, z = 0. Only for specs without a problem. */
  make(spec: z.infer<S>): Mesh;
  /** What makes the numbers impossible together. */
  problem?(spec: z.infer<S>): Problem | undefined;
  figures?(spec: z.infer<S>): readonly MakerFigure[];
  /** Distance from a piece's start to the next one's, where pieces reach into each other; metres. */
  pitch?(spec: z.infer<S>): number;
  /** Parts that may touch things, leaves for one, unless it is chosen otherwise: they do not count for clearance and tightness. */
  readonly loose?: readonly string[];
  /** Stretches of x that do not bend, metres. */
  stiff?(spec: z.infer<S>): readonly StiffZone[];
  /** The spec made as long as the reach that it is to fill, where it is such a thing. */
  fill?(spec: z.infer<S>, reach: number): z.infer<S>;
  /** How it dresses other runs, where it is such a thing. */
  readonly dresses?: Dresses<S>;
  /** The same thing as an outline to edit by hand. */
  toSection?(spec: z.infer<S>): CrossSection;
  /** The same thing as a profile turned about the path, to edit by hand; undefined where that has too many corners. */
  toProfile?(spec: z.infer<S>): TurnedOutline | undefined;
}

export const defineMaker = <K extends string, S extends z.ZodType>(maker: Maker<K, S>): Maker<K, S> => maker;
