import { z } from 'zod';
import { defineLayingRule } from '../laying-rule';
import { gapField, gapSchema } from '../rule-fields';

/** Links of one length, one after the other, with every pin on the path: their pitch is the chord from pin to pin. */
export const pinToPin = defineLayingRule({
  kind: 'pinToPin',
  label: 'Pin to pin',
  hint: 'Links keep their pitch, and all pins lie on the path',
  schema: z.strictObject({
    kind: z.literal('pinToPin'),
    gap: gapSchema,
    /** What a closed loop does with what is left: keep it open, or share it between all pins. */
    slack: z.enum(['open', 'shared']),
    /** Links come in pairs: an even number closes. */
    pairs: z.boolean(),
  }),
  defaults: { kind: 'pinToPin', gap: 0, slack: 'shared', pairs: false },
  fields: [
    gapField,
    {
      input: 'choice',
      key: 'slack',
      label: 'Slack of a loop',
      choices: [
        { value: 'shared', label: 'shared by all pins' },
        { value: 'open', label: 'left at the end' },
      ],
    },
    { input: 'switch', key: 'pairs', label: 'Even number of links' },
  ],
  group: 'places',
  tells: 'gap',
  mayLeaveBare: true,
  lay({ chords, lengths, round, placeOf }, { gap, slack, pairs }) {
    const pitch = lengths.of(0) + gap;
    const isShared = round && slack === 'shared';
    const walked = isShared ? chords().closed(pitch, pairs ? 2 : 1) : chords().walk(pitch);
    const { stations, pins, pitch: used, stuckAt: station } = walked;
    const step = pairs && !isShared ? 2 : 1;
    const count = Math.floor((stations.length - 1) / step) * step;
    const places = Float64Array.from(stations, placeOf);
    return {
      count,
      // Links keep their length: what a loop needs more or less is play of the pins.
      at: (piece) => ({ start: places[piece], length: places[piece + 1] - places[piece], stretch: used / pitch }),
      gapAfter: 0,
      pins: pins.subarray(0, (count + 1) * 3),
      ...(station !== undefined && { refused: { code: 'laying.link-too-long', path: [], facts: { pitch, station } } }),
    };
  },
});
