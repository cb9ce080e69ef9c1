import type { z } from 'zod';
import { specSchemaOf, type SpecOf } from '../math/kind';
import type { Easing } from './easing';
import { easings } from './easings';

export type EasingName = keyof typeof easings;
export type EasingSpec = SpecOf<typeof easings>;
type AnyEasing = Easing<EasingName, z.ZodType<EasingSpec>>;

export const EASINGS = Object.values(easings) as unknown as readonly AnyEasing[];

export const easingSpecSchema = specSchemaOf(easings);

export const easingOf = ({ kind }: Pick<EasingSpec, 'kind'>): AnyEasing => easings[kind];

/** The share of the way at a share of the time. */
export const eased = (easing: EasingSpec, share: number): number => easingOf(easing).at(easing, share);
