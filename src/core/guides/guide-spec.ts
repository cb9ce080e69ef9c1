import { z } from 'zod';
import { vec3Schema } from '../curve/path-spec';
import { rotate, type Vec3 } from '../math/vec3';
import { plainFinishSchema } from '../segment/finish/finish-spec';
import { bodies } from './bodies';
import type { BodyField, GuideBody } from './guide-body';

bodies satisfies { [K in keyof typeof bodies]: { kind: K } };

export type GuideBodyName = keyof typeof bodies;

export const GUIDE_BODIES = Object.values(bodies) as readonly GuideBody<GuideBodyName>[];

const guideShapeSchema = z.discriminatedUnion('from', [
  z.strictObject({
    from: z.literal('body'),
    kind: z.enum(Object.keys(bodies) as [GuideBodyName, ...GuideBodyName[]]),
    /** Metres, by the keys of the body's fields. */
    sizes: z.record(z.string().max(40), z.number().min(1e-4).max(1e5)),
  }),
  /** A brought mesh; `unit` = metres per unit of the file. */
  z.strictObject({
    from: z.literal('asset'),
    asset: z.string().regex(/^[0-9a-f]{64}$/),
    fileName: z.string().max(300),
    unit: z.number().min(1e-6).max(1e6),
  }),
]);

const angle = z.number().min(-1e4).max(1e4);

/** Where a guide is and what it is. */
export const guideSpecSchema = z.strictObject({
  shape: guideShapeSchema,
  /** Metres. */
  position: vec3Schema,
  /** Turns about x, then y, then z of the scene, radians. */
  turn: z.tuple([angle, angle, angle]).readonly(),
  /** How far runs are to keep away from it, metres; null = they need not. */
  clearance: z.number().min(0).max(1000).nullable(),
  /** How it looks in the picture; absent = pale, seen through. */
  finish: plainFinishSchema.optional(),
});

export type GuideShape = z.infer<typeof guideShapeSchema>;
export type GuideSpec = z.infer<typeof guideSpecSchema>;

export const guideBody = (kind: GuideBodyName): GuideBody<GuideBodyName> => bodies[kind];

/** What a body says for a field. */
export const bodySize = (sizes: Readonly<Record<string, number>>, { key, initial }: BodyField): number =>
  Math.max(sizes[key] ?? initial, 1e-4);

/** The same turns as one, a quaternion xyzw. */
export function turnOf(turn: GuideSpec['turn']): readonly [number, number, number, number] {
  const [[cx, sx], [cy, sy], [cz, sz]] = turn.map((angle) => [Math.cos(angle / 2), Math.sin(angle / 2)]);
  // The product of those about z, y and x, in this order.
  return [
    cz * cy * sx - sz * sy * cx,
    cz * sy * cx + sz * cy * sx,
    sz * cy * cx - cz * sy * sx,
    cz * cy * cx + sz * sy * sx,
  ];
}

/** A direction of the guide as it is in the scene. */
export function turned(v: Vec3, [x, y, z]: GuideSpec['turn']): Vec3 {
  return rotate(rotate(rotate(v, [1, 0, 0], x), [0, 1, 0], y), [0, 0, 1], z);
}
