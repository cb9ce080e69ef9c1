import { buildArcTable } from '../curve/arc-table';
import { wheelRadius } from '../curve/belt-wheels';
import type { CurveSpec } from '../curve/registry';
import type { Vec3 } from '../math/vec3';
import { chordsAlong } from '../layout/chords';
import { compiled } from '../testing/runs';
import { closingOf } from './close-loop';

const belt = (centres: number, wheels: readonly object[] = [{ teeth: 17 }, { teeth: 40 }]): CurveSpec => ({
  kind: 'belt',
  closed: true,
  points: wheels.map((wheel, i) => ({ position: [i * centres, 0, 0], ...wheel })),
  numbers: { pitch: 12.7 },
});
const lengthOf = (curve: CurveSpec) => buildArcTable(compiled(curve)).length;

describe('wheels by teeth', () => {
  // References e09 to e40: pitch diameters of ISO 606.
  it.each([
    [9, 37.13231588207121],
    [17, 69.11582762724794],
    [25, 101.3298678956054],
    [40, 161.8677845084162],
  ])('%i teeth of 12.7 have a pitch circle of %f', (teeth, diameter) => {
    expect(2 * wheelRadius({ position: [0, 0, 0], teeth }, { numbers: { pitch: 12.7 } })).toBeCloseTo(diameter, 10);
  });

  // References e50 and e51: L/p of the exact belt on the true pitch circles.
  it.each([
    [17, 40, 400, 91.98512483026627],
    [9, 25, 200, 49.02824341626421],
  ])('a loop of %i and %i teeth, %i apart, is %f pitches long', (n, z, centres, pitches) => {
    expect(lengthOf(belt(centres, [{ teeth: n }, { teeth: z }])) / 12.7).toBeCloseTo(pitches, 8);
  });
});

describe('closingOf', () => {
  const closes = (curve: CurveSpec, links: number) => {
    const walk = chordsAlong(buildArcTable(compiled(curve))).closed(12.7, 1, { count: links });
    expect(walk.pitch / 12.7).toBeCloseTo(1, 9);
  };

  it('says how many links a loop takes, what is left, and the number to close with', () => {
    const closing = closingOf(belt(400), 12.7, 2)!;
    // Reference e50: 91.91804815 by circles of circumference z p, which is what chords on pitch circles come to.
    expect([closing.fits, closing.links]).toEqual([91, 92]);
    expect(closing.fits + closing.slack / 12.7).toBeCloseTo(91.918, 2);
    expect(closing.pitch).toBeLessThan(0);
    expect(Math.abs(closing.pitch)).toBeLessThan(1e-3);
  });

  // Reference e50: 92 links want a centre distance of 400.5239 (Machinery's Handbook, roller chain section; exact).
  it('moves a wheel so that the loop closes, by the handbook’s distance', () => {
    const closing = closingOf(belt(400), 12.7, 2)!;
    expect(closing.moved.map(({ point }) => point)).toEqual([0, 1]);
    for (const { metres, curve } of closing.moved) {
      closes(curve, 92);
      expect(metres).toBeCloseTo(0.5239, 1);
    }
  });

  it('lets teeth mesh: pins on a wheel are its teeth apart', () => {
    const { curve } = closingOf(belt(400), 12.7, 2)!.moved[1];
    const { pins, pitch } = chordsAlong(buildArcTable(compiled(curve))).closed(12.7, 1, { count: 92 });
    expect(pitch / 12.7).toBeCloseTo(1, 9);
    curve.points.forEach(({ position: [x, y, z], teeth }, wheel) => {
      const radius = wheelRadius(curve.points[wheel], curve);
      const at = (i: number) => [pins[i * 3] - x, pins[i * 3 + 1] - y, pins[i * 3 + 2] - z] as const;
      const lies = (i: number) => Math.abs(Math.hypot(...at(i)) - radius) < 1e-7;
      const steps = Array.from({ length: 91 }, (_, i) => i).filter((i) => lies(i) && lies(i + 1));
      expect(steps.length).toBeGreaterThan(4);
      for (const i of steps) {
        const dot = [0, 1, 2].reduce((sum, c) => sum + at(i)[c] * at(i + 1)[c], 0);
        expect(Math.acos(dot / radius ** 2)).toBeCloseTo((2 * Math.PI) / teeth!, 7);
      }
    });
  });

  it('scales the path so that the loop closes, the teeth staying as they are', () => {
    const { scaled, links } = closingOf(belt(400), 12.7, 1)!;
    closes(scaled!.curve, links);
    expect(scaled!.curve.points.map(({ teeth }) => teeth)).toEqual([17, 40]);
    expect(Math.abs(scaled!.factor - 1)).toBeLessThan(0.002);
  });

  it('has nothing to say where links do not follow the path, or there is no loop', () => {
    const spike: CurveSpec = { ...belt(400), kind: 'straight', points: [[0, 0, 0], [100, 0, 0], [0, 0, 0.5]].map(([x, y, z]) => ({ position: [x, y, z] as Vec3 })) }; // prettier-ignore
    expect(closingOf(spike, 12.7, 1)).toBeUndefined();
    expect(closingOf({ ...belt(400), kind: 'smooth', closed: false }, 12.7, 1)).toBeUndefined();
  });
});
