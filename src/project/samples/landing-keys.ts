import type { Key } from '../../core/motion/keys';
import { add, normalize, rotate, sub, type Vec3 } from '../../core/math/vec3';
import type { Keyed } from '../schema';
import { LANDING_TIME } from './landing-motions';
import { LAMP } from './landing-paths';

/** How many times the lamp swings there and back in the landing's time. */
const SWINGS = 2;

/** Shares of the way to one side at each quarter of a swing. */
const QUARTERS = [0, 1, 0, -1];

/** The level direction about which it swings. */
const AXLE: Vec3 = normalize([-0.5, 0, 1]);

/** A point of the lamp's cord that swings about its hook so far to either side, radians, slow where it turns. */
function swinging(point: number, far: number): Keyed {
  const [hook, place] = [0, point].map((i) => LAMP.points[i].position);
  const keys = Array.from({ length: 4 * SWINGS + 1 }, (_, i): Key => {
    const side = QUARTERS[i % 4];
    const easing = { kind: side === 0 ? 'easeOut' : 'easeIn' } as const;
    const value = add(hook, rotate(sub(place, hook), AXLE, side * far));
    return { at: (LANDING_TIME.seconds * i) / (4 * SWINGS), value, easing };
  });
  return { of: ['paths', 'lamp-cord-path', 'curve', 'points', String(point), 'position'], keys };
}

/** The cord of the reading lamp swings, the lower the farther. */
export const LANDING_KEYS: readonly Keyed[] = [swinging(2, 0.14), swinging(3, 0.24)];
