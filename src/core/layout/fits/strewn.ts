import { z } from 'zod';
import { countField, metresField } from '../../math/form-field';
import { add, anyNormal, cross, dot, normalize, rotate, scale, sub, Y_AXIS, type Vec3 } from '../../math/vec3';
import { FORWARD, SIDE, UP } from '../../frames/frame-table';
import { carryStiff, fillRow } from '../../segment/pieces/rows';
import { rowXs } from '../../segment/rows';
import { frameOn, GAUGE_SIDE, GAUGE_UP, OFFSET_SIDE, OFFSET_UP } from '../../shape/frame-on';
import { defineFit } from '../fit';
import type { Stand } from '../place';

const factor = z.number().min(0.001).max(1000);

/** Pieces lie here and there on the surface of another course of the run, each with its middle's foot on it, and do not bend. */
export const strewn = defineFit({
  kind: 'strewn',
  label: 'strewn over a surface',
  hint: 'Here and there on another course of the run',
  schema: z.strictObject({
    kind: z.literal('strewn'),
    /** Id of the course on which they lie; absent = the first that is not strewn itself. */
    on: z.string().max(64).optional(),
    /** The part of it on which they lie; absent = all of it. */
    part: z.string().max(200).optional(),
    /** So many a square metre, as it is made; the run's density lane multiplies it. */
    density: z.number().min(0).max(1e6),
    /** Radians: the surface may look so far away from straight up. */
    within: z.number().min(0).max(Math.PI),
    across: z.enum(['everywhere', 'edges', 'left', 'right', 'middle']),
    /** Metres: how wide the strip is at an edge, or in the middle. */
    band: z.number().min(0).max(1e4),
    /** Metres between any two, at the least. */
    apart: z.number().min(0).max(1e4),
    stands: z.enum(['square', 'plumb']),
    least: factor,
    greatest: factor,
    /** Radians: the most that one leans. */
    tilt: z.number().min(0).max(Math.PI),
    /** Metres into the surface. */
    sink: z.number().min(-1e3).max(1e3),
    seed: z.number().int().min(0).max(1e6),
  }),
  defaults: {
    ...{ kind: 'strewn', density: 4, within: Math.PI / 3, across: 'everywhere', band: 0.3, apart: 0, stands: 'square' },
    ...{ least: 0.7, greatest: 1.3, tilt: 0.15, sink: 0, seed: 1 },
  },
  fields: [
    { input: 'number', key: 'density', label: 'A square metre', unit: 'ratio', step: 1 },
    { input: 'number', key: 'within', label: 'Looks up within', unit: 'angle', step: Math.PI / 36 },
    {
      input: 'choice',
      key: 'across',
      label: 'Across the run',
      choices: [
        { value: 'everywhere', label: 'everywhere' },
        { value: 'edges', label: 'at both edges' },
        { value: 'left', label: 'at the left edge' },
        { value: 'right', label: 'at the right edge' },
        { value: 'middle', label: 'in the middle' },
      ],
    },
    { ...metresField('band', 'Strip', 0.05), appliesTo: ({ across }) => across !== 'everywhere' },
    { ...metresField('apart', 'Apart', 0.01), isSeldom: true },
    {
      isSeldom: true,
      input: 'choice',
      key: 'stands',
      label: 'It stands',
      choices: [
        { value: 'square', label: 'square to the surface' },
        { value: 'plumb', label: 'plumb' },
      ],
    },
    { input: 'number', key: 'least', label: 'Smallest', unit: 'ratio', step: 0.05 },
    { input: 'number', key: 'greatest', label: 'Largest', unit: 'ratio', step: 0.05 },
    { isSeldom: true, input: 'number', key: 'tilt', label: 'Leans up to', unit: 'angle', step: Math.PI / 36 },
    { ...metresField('sink', 'Sunk in', 0.005), isSeldom: true },
    { ...countField('seed', 'Seed'), isSeldom: true },
  ],
  follows: false,
  isRigid: true,
  isStrewn: true,
  measures: () => 'path',
  fillRows(rows, form, shape, place, { stands, sink }) {
    const { strewn: own, station, factor: size, natural } = place;
    const frame = frameOn(shape, station + (size * natural) / 2);
    const { origin } = shape.table;
    const { position, normal, forward } = own?.standOn(shape, place) ?? onPath(frame, origin);
    const straight = stands === 'plumb' ? Y_AXIS : normal;
    const level = normalize(cross(straight, cross(forward, straight)), anyNormal(straight));
    const lean = rotate(level, straight, own?.towards ?? 0);
    const up = rotate(straight, lean, own?.tilt ?? 0);
    const turned = rotate(level, straight, own?.spin ?? 0);
    const ahead = normalize(sub(turned, scale(up, dot(turned, up))));
    const foot = sub(position, scale(normal, sink));
    frame.set(add(foot, origin));
    frame.set([...ahead, ...up, ...cross(ahead, up)], FORWARD);
    frame[GAUGE_UP] = frame[GAUGE_SIDE] = size;
    frame[OFFSET_UP] = frame[OFFSET_SIDE] = 0;
    rowXs(form).forEach((x, row) => {
      const own = frame.slice();
      carryStiff(own, (x - natural / 2) * size);
      fillRow(rows, row, own, size, origin);
    });
  },
});

/** On the path itself, where there is no surface. */
function onPath(frame: Float64Array, origin: Vec3): Stand {
  const vector = (at: number): Vec3 => [frame[at], frame[at + 1], frame[at + 2]];
  const [up, side] = [vector(UP), vector(SIDE)];
  const off = add(scale(up, frame[OFFSET_UP]), scale(side, frame[OFFSET_SIDE]));
  return { position: sub(add(vector(0), off), origin), normal: up, forward: vector(FORWARD) };
}
