import { definePattern } from '../pattern';

const ROWS = 8;
const ACROSS = 5;
/** Of a stone's height. */
const JOINT = 0.07;

/** Stones laid in courses, every other one set off by half a stone. */
export const stones = definePattern({
  kind: 'stones',
  label: 'Stonework',
  relief: 0.03,
  sample(u, v, noise) {
    const row = Math.floor(v * ROWS);
    const along = u * ACROSS + (row % 2) / 2 + 0.18 * noise(u, v, 6, ROWS);
    const stone = Math.floor(along);
    const [a, b] = [along - stone, v * ROWS - row];
    const edge = Math.min(Math.min(a, 1 - a) * (ROWS / ACROSS), Math.min(b, 1 - b));
    const rough = noise(u, v, 60, 60);
    const own = noise((((stone % ACROSS) + 0.5) / ACROSS + 1) % 1, (row + 0.5) / ROWS, ACROSS, ROWS);
    const body = Math.min(Math.max((edge - JOINT) / 0.1, 0), 1);
    return { height: body * (0.8 + 0.2 * rough), shade: 0.15 + body * (0.4 * own + 0.45 * rough), roughness: 0.9 };
  },
});
