import { z } from 'zod';
import { frameOn } from '../../shape/frame-on';
import { defineFit } from '../fit';
import { fillUpright } from '../upright-rows';

/** Uprights stay plumb, what runs along the piece follows the slope. */
export const plumb = defineFit({
  kind: 'plumb',
  label: 'plumb',
  hint: 'Uprights stay plumb, rails follow the slope',
  schema: z.strictObject({
    kind: z.literal('plumb'),
    /** What lies beyond the path's ends goes on climbing, or level over a landing. */
    beyond: z.enum(['onward', 'level']).default('onward'),
  }),
  defaults: { kind: 'plumb', beyond: 'onward' },
  fields: [
    {
      input: 'choice',
      key: 'beyond',
      label: 'Beyond the path',
      choices: [
        { value: 'onward', label: 'it climbs on' },
        { value: 'level', label: 'it goes level' },
      ],
    },
  ],
  follows: true,
  measures: () => 'plan',
  turnsAtEnds: ({ beyond }) => beyond === 'level',
  fillRows(rows, form, shape, place, { beyond }) {
    const { length, closed } = shape.table;
    const [first, last] = [frameOn(shape, 0)[1], frameOn(shape, length, true)[1]];
    fillUpright(rows, form, shape, place, (_, frame, station) => {
      const isBeyond = beyond === 'level' && !closed && (station < 0 || station > length);
      return isBeyond ? { y: station < 0 ? first : last, climbs: false } : { y: frame[1], climbs: true };
    });
  },
});
