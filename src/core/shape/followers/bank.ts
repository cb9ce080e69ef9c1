import { z } from 'zod';
import { bendAlong, readAlong } from '../bend-along';
import { defineFollower } from '../follower';
import { laneOfPath } from '../shape-lane';
import { easedLane, easedStep } from './eased-lane';

/** Metres per second squared: the standard acceleration of free fall (CGPM 1901). */
const GRAVITY = 9.80665;

/**
 * Leans into the bend so that what passes at a speed is pressed straight down: the tangent of the bank is V^2 / (g R) (common practice of road and
 * railway building). The bend is averaged over the easing length, over which a bank comes and goes.
 */
export const bank = defineFollower({
  label: 'Banked in bends',
  hint: 'Leans inwards, as steeply as a speed asks for',
  schema: z.strictObject({
    /** Metres per second. */
    speed: z.number().min(0).max(1000),
    /** Radians: it never leans by more. */
    most: z
      .number()
      .min(0)
      .max(Math.PI / 2),
    /** Metres. */
    ease: z.number().min(0).max(1e5),
  }),
  defaults: { speed: 14, most: Math.PI / 18, ease: 10 },
  fields: [
    { input: 'number', key: 'speed', label: 'For a speed of', unit: 'm/s', step: 0.5 },
    { input: 'number', key: 'most', label: 'No steeper than', unit: 'angle', step: Math.PI / 180 },
    { input: 'number', key: 'ease', label: 'Comes and goes over', unit: 'm', step: 0.5 },
  ],
  lanes(table, { speed, most, ease }) {
    const { length, closed } = table;
    const step = easedStep(ease, length);
    const half = Math.min(Math.max(ease, step), length) / 2;
    const { stations, turned } = bendAlong(table, step);
    const whole = turned.at(-1)!;
    const turnedAt = (station: number) => {
      const rounds = closed ? Math.floor(station / length) : 0;
      return rounds * whole + readAlong(stations, turned, station - rounds * length);
    };
    const leanAt = (station: number) => {
      const [from, to] = closed
        ? [station - half, station + half]
        : [Math.max(station - half, 0), Math.min(station + half, length)];
      const lean = Math.atan((speed * speed * (turnedAt(to) - turnedAt(from))) / (GRAVITY * (to - from)));
      return Math.min(Math.max(lean, -most), most);
    };
    const lane = easedLane(table, step, 0, leanAt);
    return lane ? [laneOfPath('roll', lane)] : [];
  },
});
