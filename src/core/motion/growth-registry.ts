import type { z } from 'zod';
import { specSchemaOf, type SpecOf } from '../math/kind';
import type { Growth } from './growth';
import { growths } from './growths';

export type GrowthName = keyof typeof growths;
export type GrowthSpec = SpecOf<typeof growths>;
type AnyGrowth = Growth<GrowthName, z.ZodType<GrowthSpec>>;

export const GROWTHS = Object.values(growths) as unknown as readonly AnyGrowth[];

export const growthSpecSchema = specSchemaOf(growths);

export const growthOf = ({ kind }: Pick<GrowthSpec, 'kind'>): AnyGrowth => growths[kind];
