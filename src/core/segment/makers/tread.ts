import { z } from 'zod';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import { metresField } from '../../math/form-field';
import { addBlock, addPlate, arcPoints, PLACES } from '../shapes/plate';
import { arcSteps, SMOOTHNESS_FIELDS, smoothnessShape } from '../smoothness';

const schema = z.strictObject({
  kind: z.literal('tread'),
  going: z.number().min(0.05).max(5),
  width: z.number().min(0.05).max(50),
  thickness: z.number().min(0.005).max(2),
  /** How far the tread stands out over the one below it, metres. */
  nosing: z.number().min(0).max(0.5),
  /** How far a board closes the step below its front, metres from the upper side; 0 = open. */
  riser: z.number().min(0).max(2).default(0),
  ...smoothnessShape,
});

/** Metres: how thick the board of a closed step is. */
const RISER_BOARD = 0.018;

/** A stair's tread with a rounded nosing to the front; its upper side is on the path. */
export const tread = defineMaker({
  kind: 'tread',
  label: 'Tread',
  hint: 'A step of a stair',
  group: 'stairs',
  schema,
  defaults: {
    kind: 'tread',
    going: 0.28,
    width: 0.9,
    thickness: 0.045,
    nosing: 0.02,
    riser: 0,
    smooth: 0.0005,
    detail: 'fine',
  },
  fields: [
    metresField('going', 'Going', 0.01),
    metresField('width', 'Width', 0.05),
    metresField('thickness', 'Thickness', 0.005),
    metresField('nosing', 'Nosing', 0.005),
    metresField('riser', 'Riser (0 = open)', 0.005),
    ...SMOOTHNESS_FIELDS,
  ],
  pitch: ({ going }) => going,
  make(spec) {
    const { going, width, thickness, nosing, riser } = spec;
    const isClosed = riser > thickness;
    const builder = new MeshBuilder([
      paint('Oak tread', '#9a7448', 0.55),
      ...(isClosed ? [paint('Painted riser', '#ded6c4', 0.6)] : []),
    ]);
    const r = thickness / 2;
    const steps = arcSteps(r, Math.PI, spec, 4);
    const back = going + nosing;
    addPlate(builder, {
      part: 'Tread',
      material: 0,
      outline: [[back, -thickness], [back, 0], ...arcPoints([r, -r], r, Math.PI / 2, (3 * Math.PI) / 2, steps)],
      from: -width / 2,
      to: width / 2,
      bevel: Math.min(thickness, width) * 0.06,
      place: PLACES.side,
    });
    if (isClosed) {
      // It reaches a little into the tread above it.
      const board = Math.min(RISER_BOARD, going / 2);
      const [from, to] = [-riser, -thickness / 2];
      addBlock(builder, { part: 'Riser', material: 1 }, [nosing, from, -width / 2], [nosing + board, to, width / 2], 0);
    }
    return builder.build();
  },
});
