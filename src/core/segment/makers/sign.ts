import { z } from 'zod';
import { metresField } from '../../math/form-field';
import { MeshBuilder } from '../../mesh/mesh-builder';
import { paint } from '../colour';
import { defineMaker } from '../maker';
import { addBlock, addPlate, arcPoints, PLACES, type FlatPoint } from '../shapes/plate';

const schema = z.strictObject({
  kind: z.literal('sign'),
  form: z.enum(['board', 'disc', 'arrow']),
  height: z.number().min(0.05).max(30),
  width: z.number().min(0.02).max(20),
  board: z.number().min(0.02).max(20),
  thickness: z.number().min(0.002).max(1),
});
type SignSpec = z.infer<typeof schema>;

/** The board's outline, z and y as seen by those who come along the path. */
function outlineOf({ form, height, width, board }: SignSpec): readonly FlatPoint[] {
  const [low, half] = [height - board, width / 2];
  switch (form) {
    case 'board':
      return [[-half, low], [half, low], [half, height], [-half, height]]; // prettier-ignore
    case 'disc':
      return arcPoints([0, height - half], half, 0, 2 * Math.PI, 32).slice(0, -1);
    case 'arrow': {
      const tip = Math.min(board / 2, width * 0.3);
      return [[-half, low], [half - tip, low], [half, low + board / 2], [half - tip, height], [-half, height]]; // prettier-ignore
    }
  }
}

/** A sign on its post, across the path. */
export const sign = defineMaker({
  kind: 'sign',
  label: 'Sign',
  hint: 'A board, disc or arrow on a post',
  group: 'dressing',
  dresses: { by: { stations: 12 }, sits: 'above' },
  schema,
  defaults: { kind: 'sign', form: 'board', height: 1.9, width: 0.6, board: 0.4, thickness: 0.02 },
  fields: [
    {
      input: 'choice',
      key: 'form',
      label: 'Form',
      choices: [
        { value: 'board', label: 'board' },
        { value: 'disc', label: 'disc' },
        { value: 'arrow', label: 'arrow' },
      ],
    },
    metresField('height', 'Height', 0.1),
    metresField('width', 'Width', 0.05),
    { ...metresField('board', 'Board’s height', 0.05), appliesTo: ({ form }) => form !== 'disc' },
    metresField('thickness', 'Thickness', 0.005),
  ],
  make(spec) {
    const { height, width, thickness } = spec;
    const builder = new MeshBuilder([paint('Post', '#8d8f8c', 0.5, 0.8), paint('Board', '#e9e2cf', 0.55)]);
    const post = thickness * 2.4;
    const [half, bevel] = [post / 2, thickness * 0.15];
    addBlock(builder, { part: 'Post', material: 0 }, [thickness, 0, -half], [thickness + post, height - width * 0.05, half], post * 0.12); // prettier-ignore
    const board = { part: 'Board', material: 1, outline: outlineOf(spec), bevel, place: PLACES.across };
    addPlate(builder, { ...board, from: -thickness, to: 0, roundBelow: 0.4 });
    return builder.build();
  },
});
