import type { Picture } from '../core/mesh/draw-mesh';
import { unwrap } from '../core/testing/runs';
import { addables } from '../project/addables';
import { loadFrom } from './bake';
import { Deriver } from './derive';
import { smallPicture } from './small-picture';

const deriver = new Deriver(loadFrom(new Map()));
/** Share of a picture's pixels on which there is something, and how many shades there are of it. */
const seenOf = ({ width, height, data }: Picture) => {
  let covered = 0;
  const shades = new Set<number>();
  for (let i = 0; i < data.length; i += 4) {
    covered += data[i + 3] / 255;
    if (data[i + 3] === 255) shades.add((data[i] << 16) | (data[i + 1] << 8) | data[i + 2]);
  }
  return { covered: covered / (width * height), shades: shades.size };
};

describe('the small picture', () => {
  it.each(addables([], '').map((item) => [item.label, item] as const))('of %s shows it', async (_, { project }) => {
    const { covered, shades } = seenOf(unwrap(await smallPicture(deriver, project, 120, 80)));
    expect(covered).toBeGreaterThan(0.01);
    expect(covered).toBeLessThan(0.8);
    expect(shades).toBeGreaterThan(8);
  });
});
