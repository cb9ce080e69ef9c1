import { z } from 'zod';
import type { Mesh } from '../mesh/mesh';
import type { Maker } from './maker';
import { makers } from './makers';

makers satisfies { [K in keyof typeof makers]: { kind: K } };

export type MakerName = keyof typeof makers;

export const MAKERS = Object.values(makers) as unknown as readonly Maker<MakerName>[];

const schemas = Object.values(makers).map((maker) => maker.schema) as unknown as [
  (typeof makers)[MakerName]['schema'],
  ...(typeof makers)[MakerName]['schema'][],
];

export const makerSpecSchema = z.discriminatedUnion('kind', schemas);

export type MakerSpec = z.infer<(typeof makers)[MakerName]['schema']>;

export const maker = (kind: MakerName): Maker<MakerName> => makers[kind] as unknown as Maker<MakerName>;

export const makeSegmentMesh = (spec: MakerSpec): Mesh => maker(spec.kind).make(spec);
