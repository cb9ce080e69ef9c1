import { z } from 'zod';
import { defineLayingRule } from '../laying-rule';
import { MAX_PIECES } from '../most-pieces';
import { liesField, liesSchema, standing } from '../rule-fields';

/** A piece at each of some stations. */
export const atStations = defineLayingRule({
  kind: 'atStations',
  label: 'At stations',
  hint: 'Where you say: typed, or dragged in the straight view',
  schema: z.strictObject({
    kind: z.literal('atStations'),
    /** Metres along the path, in any order. */
    stations: z.array(z.number().min(0).max(1e7)).max(MAX_PIECES).readonly(),
    lies: liesSchema,
  }),
  defaults: { kind: 'atStations', stations: [1], lies: 'middle' },
  fields: [{ input: 'list', key: 'stations', label: 'Stations', unit: 'm' }, liesField],
  group: 'places',
  tells: 'count',
  mayLeaveBare: true,
  isPlaced: true,
  lay({ placeOf, lengths, reach }, { stations, lies }) {
    const places = stations.map(placeOf).filter((place) => place >= -reach * 1e-9 && place <= reach * (1 + 1e-9));
    return standing(
      places.toSorted((a, b) => a - b),
      lengths,
      lies,
    );
  },
});
