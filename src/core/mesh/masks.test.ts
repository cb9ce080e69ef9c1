import { valueNoise } from '../math/noise';
import { below, type MaskPoint } from './mask';
import { coverAt, MASKS, maskOf, maskSpecSchema, type MaskSpec } from './mask-registry';
import type { Vec3 } from '../math/vec3';

const point = (change: Partial<MaskPoint> = {}): MaskPoint => ({
  ...{ position: [0, 0, 0], normal: [0, 1, 0], own: [0, 0, 0], facing: [0, 1, 0] },
  ...change,
});
/** A unit vector so far from straight up, radians. */
const leaning = (angle: number): Vec3 => [Math.sin(angle), Math.cos(angle), 0];
const even = { ragged: 0, grain: 1 };

describe.each(MASKS.map((mask) => [mask.kind, mask] as const))('the mask %s', (_, mask) => {
  it('begins with options that a project takes, and covers between nothing and all', () => {
    expect(maskSpecSchema.safeParse(mask.defaults).success).toBe(true);
    for (let i = 0; i < 200; i++) {
      const angle = (i / 200) * Math.PI;
      const own: Vec3 = [i * 0.037, i * 0.011, -i * 0.023];
      const amount = coverAt(
        mask.defaults,
        point({ normal: leaning(angle), facing: leaning(angle), position: own, own }),
      );
      expect(amount).toBeGreaterThanOrEqual(0);
      expect(amount).toBeLessThanOrEqual(1);
    }
  });
});

describe('coverAt', () => {
  const slope: MaskSpec = { kind: 'slope', within: 0.8, fade: 0.4, ...even };
  it('covers what looks up by the slope of the finished run, half of it at the edge', () => {
    expect(coverAt(slope, point({ normal: leaning(0.59) }))).toBe(1);
    expect(coverAt(slope, point({ normal: leaning(0.8) }))).toBeCloseTo(0.5, 9);
    expect(coverAt(slope, point({ normal: leaning(1.01) }))).toBe(0);
    expect(coverAt(slope, point({ normal: leaning(Math.PI), facing: [0, 1, 0] }))).toBe(0);
  });

  it.each([
    ['top', [0, 1, 0]],
    ['bottom', [0, -1, 0]],
    ['left', [0, 0, -1]],
    ['right', [0, 0, 1]],
  ] as const)('covers the %s of the run as it was made, however it turned', (side, facing) => {
    const spec: MaskSpec = { kind: 'side', side, within: 0.5, fade: 0.2, ...even };
    expect(coverAt(spec, point({ facing, normal: [0, -1, 0] }))).toBe(1);
    expect(coverAt(spec, point({ facing: [-facing[0], -facing[1], -facing[2]] }))).toBe(0);
  });

  it('covers below or above a height, the two together all of it', () => {
    const spec = (covers: 'below' | 'above'): MaskSpec => ({ kind: 'height', covers, level: 2, fade: 1, ...even });
    for (const y of [0, 1.49, 1.7, 2, 2.3, 2.51, 9]) {
      const at = point({ position: [0, y, 0] });
      expect(coverAt(spec('below'), at) + coverAt(spec('above'), at)).toBeCloseTo(1, 9);
    }
    expect(coverAt(spec('below'), point({ position: [0, 1.5, 0] }))).toBe(1);
  });

  it('breaks up the edge, and nothing beyond it', () => {
    const ragged: MaskSpec = { ...slope, ragged: 1, grain: 0.1 };
    const at = (i: number, angle: number) => coverAt(ragged, point({ normal: leaning(angle), own: [i * 0.03, 0, 0] }));
    const edge = Array.from({ length: 400 }, (_, i) => at(i, 0.8));
    expect(Math.min(...edge)).toBe(0);
    expect(Math.max(...edge)).toBe(1);
    expect(Array.from({ length: 400 }, (_, i) => at(i, 1.2)).every((amount) => amount === 0)).toBe(true);
  });
});

describe('below', () => {
  it('is a smooth step, and a sharp one without a fade', () => {
    const values = Array.from({ length: 101 }, (_, i) => below(i / 100, 0.5, 0.6));
    values.forEach((value, i) => i > 0 && expect(value).toBeLessThanOrEqual(values[i - 1]));
    expect([below(0.5, 0.5, 0), below(0.51, 0.5, 0)]).toEqual([1, 0]);
  });
});

describe('valueNoise', () => {
  it('is the same at the same place, without a jump, about a half on the whole', () => {
    let [sum, steepest] = [0, 0];
    const count = 20_000;
    for (let i = 0; i < count; i++) {
      const [x, y, z] = [i * 0.13 - 900, i * 0.071, i * -0.057];
      const here = valueNoise(x, y, z);
      expect(valueNoise(x, y, z)).toBe(here);
      sum += here;
      steepest = Math.max(steepest, Math.abs(valueNoise(x + 1e-4, y, z) - here) / 1e-4);
    }
    // The smooth step is steepest half way, 3/2 of the difference of two numbers in [0, 1] (elementary).
    expect(steepest).toBeLessThan(1.5 + 1e-3);
    expect(sum / count).toBeCloseTo(0.5, 1);
  });

  it('has its own numbers at whole places', () => {
    const seen = new Set(Array.from({ length: 500 }, (_, i) => valueNoise(i, -i, 3 * i)));
    expect(seen.size).toBe(500);
  });
});

it('maskOf knows every kind by its name', () => {
  for (const { kind } of MASKS) expect(maskOf({ kind }).kind).toBe(kind);
});
