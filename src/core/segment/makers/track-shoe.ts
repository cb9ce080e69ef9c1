import { z } from 'zod';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import { metresField } from '../../math/form-field';
import { addBlock, addPlate, arcPoints, PLACES } from '../shapes/plate';
import { arcSteps, SMOOTHNESS_FIELDS, smoothnessShape, type Smoothness } from '../smoothness';

const schema = z.strictObject({
  kind: z.literal('trackShoe'),
  /** Pin to pin, metres. */
  pitch: z.number().min(0.005).max(20),
  width: z.number().min(0.005).max(20),
  thickness: z.number().min(0.001).max(5),
  grouser: z.number().min(0).max(5),
  ...smoothnessShape,
});

/** A shoe of a crawler belt, pin to pin: the pins lie on the path, the plate on its outer, upper side. */
export const trackShoe = defineMaker({
  kind: 'trackShoe',
  label: 'Track shoe',
  hint: 'A plate with a grouser, pin to pin',
  group: 'chains',
  schema,
  defaults: {
    kind: 'trackShoe',
    pitch: 0.17,
    width: 0.5,
    thickness: 0.02,
    grouser: 0.035,
    smooth: 0.0005,
    detail: 'fine',
  },
  fields: [
    metresField('pitch', 'Pin to pin', 0.005),
    metresField('width', 'Width', 0.01),
    metresField('thickness', 'Thickness', 0.001),
    metresField('grouser', 'Grouser', 0.005),
    ...SMOOTHNESS_FIELDS,
  ],
  pitch: ({ pitch }) => pitch,
  make(spec) {
    const { pitch, width, thickness, grouser } = spec;
    const builder = new MeshBuilder([paint('Shoe', '#5b5f5e', 0.5, 1), paint('Links', '#6d6457', 0.55, 1)]);
    const pin = thickness * 0.9;
    const lug = pin * 1.4;
    const top = lug;
    // The plate is a little shorter than the pitch, so that neighbours can turn.
    addBlock(
      builder,
      { part: 'Shoe', material: 0 },
      [lug + pitch * 0.02, top, -width / 2],
      [lug + pitch * 0.98, top + thickness, width / 2],
      thickness * 0.15,
    );
    if (grouser > 0) {
      const [x, w] = [lug + pitch * 0.5, thickness * 0.45];
      addPlate(builder, {
        part: 'Shoe',
        material: 0,
        outline: [
          [x - w * 1.6, top + thickness * 0.9],
          [x + w * 1.6, top + thickness * 0.9],
          [x + w, top + thickness + grouser],
          [x - w, top + thickness + grouser],
        ],
        from: -width / 2,
        to: width / 2,
        bevel: w * 0.2,
        place: PLACES.side,
      });
    }
    for (const [z, side] of [
      [width * 0.18, 0],
      [-width * 0.18, 0],
    ] as const)
      addPinLink(builder, { pitch, lug, pin, top: top + thickness * 0.05, z: z + side, thick: width * 0.07 }, spec);
    return builder.build();
  },
});

export interface PinLink {
  readonly pitch: number;
  /** Radius of the ends, and of the pin holes. */
  readonly lug: number;
  readonly pin: number;
  /** How high the link reaches between its ends. */
  readonly top: number;
  readonly z: number;
  readonly thick: number;
}

/** A side link with a hole at each pin; pins at y = 0, x = lug and x = lug + pitch. */
export function addPinLink(builder: MeshBuilder, link: PinLink, smoothness: Smoothness): void {
  const { pitch, lug, pin, top, z, thick } = link;
  const steps = arcSteps(lug, Math.PI, smoothness, 6);
  const hole = (x: number) => arcPoints([x, 0], pin * 0.6, 0, -2 * Math.PI, steps * 2).slice(0, -1);
  addPlate(builder, {
    part: 'Links',
    material: 1,
    outline: [
      ...arcPoints([lug + pitch, 0], lug, -Math.PI / 2, Math.PI / 2, steps),
      [lug + pitch * 0.85, Math.max(top, lug)],
      [lug + pitch * 0.15, Math.max(top, lug)],
      ...arcPoints([lug, 0], lug, Math.PI / 2, (3 * Math.PI) / 2, steps),
    ],
    holes: [hole(lug), hole(lug + pitch)],
    from: z - thick / 2,
    to: z + thick / 2,
    bevel: Math.min(thick, lug) * 0.12,
    place: PLACES.side,
  });
}
