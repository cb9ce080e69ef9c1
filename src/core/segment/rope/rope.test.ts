import fc from 'fast-check';
import { straightLine, helixAround } from '../shapes/line';
import { packCords } from './pack-cords';
import { layAngle, solveRope, strandLength, withLayAngle } from './rope-geometry';
import { neighbourDistance, touchingLay, touchingRadius } from './touching';

const DEGREES = 180 / Math.PI;

// S. Neukirch & G. H. M. van der Heijden, J. Elasticity 69, 2002: strands of radius 1, lay length H; recomputed by two routes.
const TOUCHING = [
  { N: 2, H: 4.5, a: 1.415939994012, v: 26.8307630625, length: 9.96994129311 },
  { N: 2, H: 5, a: 1.125341356842, v: 35.26568664477, length: 8.659976812536 },
  { N: 2, H: 6, a: 1.003417950872, v: 43.58165783061, length: 8.70337574682 },
  { N: 2, H: 8, a: 1, v: 51.85397401278, length: 10.17243420251 },
  { N: 2, H: 24, a: 1, v: 75.32925694747, length: 24.80883748998 },
  { N: 3, H: 7, a: 1.878506123371, v: 30.67088490617, length: 13.72264034195 },
  { N: 3, H: 8, a: 1.497917158091, v: 40.36475775477, length: 12.35232484062 },
  { N: 3, H: 12, a: 1.233304896555, v: 57.14736712054, length: 14.28454726349 },
  { N: 3, H: 24, a: 1.169117909759, v: 72.98199400433, length: 25.09901491141 },
  { N: 4, H: 9, a: 2.791972278744, v: 27.15965466005, length: 19.7164544601 },
  { N: 4, H: 12, a: 1.765441458906, v: 47.25023188405, length: 16.34153243625 },
  { N: 4, H: 24, a: 1.469191684597, v: 68.96158561871, length: 25.7141035235 },
];

describe('touching strands', () => {
  it.each(TOUCHING)(
    'N = $N, H = $H: helix radius, pitch angle and strand length of the table',
    ({ N, H, a, v, length }) => {
      const radius = touchingRadius(N, 2, H)!;
      expect(Math.abs(radius - a)).toBeLessThan(1e-10);
      const sizes = { strandSize: 2, helixRadius: radius, layLength: H };
      expect(Math.abs(90 - layAngle(sizes) * DEGREES - v)).toBeLessThan(1e-8);
      expect(Math.abs(strandLength(sizes) - length)).toBeLessThan(1e-9);
      expect(Math.abs(neighbourDistance(N, a, H) - 2)).toBeLessThan(1e-10);
    },
  );

  it.each([
    [2, 1],
    [3, 1.154700538379252],
    [4, 1.414213562373095],
  ])('%d straight strands lie %f from the middle', (N, a) => {
    expect(touchingRadius(N, 2, Infinity)).toBeCloseTo(a, 14);
  });

  // J. Bohr & K. Olsen, The ancient art of laying rope, EPL 93, 60004, 2011: 39.4, 42.8 and 43.8 degrees.
  it.each([
    [2, 39.37705136238981, 5.393403647957043],
    [3, 42.83538631662904, 8.361022629956067],
    [4, 43.83511103937534, 11.23032198181234],
  ])('%d strands have most turns for their length at %f degrees', (N, v, H) => {
    const turns = (h: number) => 1 / Math.hypot(2 * Math.PI * touchingRadius(N, 2, h)!, h);
    let [low, high] = [N * 2 + 0.2, 20];
    for (let i = 0; i < 45; i++) {
      const [a, b] = [low + (high - low) / 3, high - (high - low) / 3];
      if (turns(a) > turns(b)) high = b;
      else low = a;
    }
    expect(Math.abs(low - H)).toBeLessThan(1e-5);
    const sizes = { strandSize: 2, helixRadius: touchingRadius(N, 2, low)!, layLength: low };
    expect(Math.abs(90 - layAngle(sizes) * DEGREES - v)).toBeLessThan(1e-4);
  });

  it('finds each of the three sizes from the other two, and the lay from its angle', () => {
    const strands = fc.integer({ min: 2, max: 4 });
    fc.assert(
      fc.property(
        strands,
        fc.double({ min: 1.15, max: 6, noNaN: true }),
        fc.double({ min: 0.001, max: 0.2, noNaN: true }),
        (N, k, size) => {
          const lay = N * size * k;
          const rope = solveRope(N, { strandSize: size, helixRadius: 0, layLength: lay }, 'helixRadius')!;
          const same = solveRope(N, { ...rope, strandSize: 0 }, 'strandSize')!;
          expect(Math.abs(same.strandSize / size - 1)).toBeLessThan(1e-9);
          const straight = size / (2 * Math.sin(Math.PI / N));
          // Where two strands touch along the axis, every longer lay touches too: then the shortest is found.
          const again = touchingLay(N, size, rope.helixRadius)!;
          if (rope.helixRadius > straight * (1 + 1e-6)) expect(Math.abs(again / lay - 1)).toBeLessThan(1e-5);
          else expect(again).toBeLessThanOrEqual(lay * (1 + 1e-9));
          const byAngle = withLayAngle(N, rope, 'helixRadius', layAngle(rope))!;
          expect(Math.abs(byAngle.layLength / lay - 1)).toBeLessThan(1e-8);
        },
      ),
      { numRuns: 25 },
    );
  });

  it('says that too many strands do not fit into a turn, or into a radius', () => {
    expect(touchingRadius(4, 2, 8)).toBeUndefined();
    expect(touchingLay(3, 2, 1.1)).toBeUndefined();
  });

  it('is what the lines that are swept do: their least distance is the strand size', () => {
    const { helixRadius } = solveRope(3, { strandSize: 0.02, helixRadius: 0, layLength: 0.1 }, 'helixRadius')!;
    const axis = straightLine(0.1);
    const [a, b] = [0, 1].map((i) => helixAround(axis, helixRadius, (2 * Math.PI * i) / 3, 1));
    const p = a.centre(0.5);
    let least = Infinity;
    for (let t = 0; t <= 1; t += 1e-5) {
      const q = b.centre(t);
      least = Math.min(least, Math.hypot(p[0] - q[0], p[1] - q[1], p[2] - q[2]));
    }
    expect(Math.abs(least - 0.02)).toBeLessThan(1e-8);
  });
});

describe('packCords', () => {
  it.each([2, 3, 5, 7, 12, 19, 37])('%d straight cords clear each other, and some touch', (count) => {
    const cords = packCords({ count, size: 0.01, middleSize: 0.01, hasMiddle: false, layLength: Infinity })!;
    expect(cords).toHaveLength(count);
    let least = Infinity;
    cords.forEach((a, i) =>
      cords.slice(i + 1).forEach((b) => {
        const [ay, az, by, bz] = [a, b].flatMap(({ radius, angle }) => [
          radius * Math.cos(angle),
          radius * Math.sin(angle),
        ]);
        least = Math.min(least, Math.hypot(ay - by, az - bz));
      }),
    );
    expect(least).toBeCloseTo(0.01, 9);
  });

  it('puts six round one of the same size, all touching', () => {
    const cords = packCords({ count: 7, size: 1, middleSize: 1, hasMiddle: true, layLength: Infinity })!;
    expect(cords[0]).toMatchObject({ radius: 0 });
    for (const { radius } of cords.slice(1)) expect(radius).toBeCloseTo(1, 12);
  });

  it('says when the turns are too tight', () => {
    expect(packCords({ count: 4, size: 1, middleSize: 1, hasMiddle: false, layLength: 3.9 })).toBeUndefined();
    expect(packCords({ count: 30, size: 1, middleSize: 1, hasMiddle: false, layLength: 2 })).toBeUndefined();
  });
});

describe('cords of a bundle', () => {
  // By brute force: places along one centre line against a fine polyline of the other, over a whole turn either way.
  const apart = (a: { radius: number; angle: number }, b: { radius: number; angle: number }, lay: number) => {
    const w = Number.isFinite(lay) ? (2 * Math.PI) / lay : 0;
    const span = Number.isFinite(lay) ? lay : 1;
    let least = Infinity;
    for (let i = 0; i <= 2000; i++) {
      const s = span * (i / 1000 - 1);
      const angle = b.angle + w * s;
      const d = Math.hypot(a.radius * Math.cos(a.angle) - b.radius * Math.cos(angle), a.radius * Math.sin(a.angle) - b.radius * Math.sin(angle), s); // prettier-ignore
      least = Math.min(least, d);
    }
    return least;
  };

  it.each([
    { count: 12, layLength: 25 },
    { count: 19, layLength: 40 },
    { count: 37, layLength: 40 },
    { count: 61, layLength: 70 },
    { count: 37, layLength: Infinity },
  ])('never pass through each other: $count of them at a lay length of $layLength sizes', ({ count, layLength }) => {
    const cords = packCords({ count, size: 1, middleSize: 1, hasMiddle: false, layLength })!;
    let least = Infinity;
    cords.forEach((a, i) => cords.slice(i + 1).forEach((b) => (least = Math.min(least, apart(a, b, layLength)))));
    expect(least).toBeGreaterThan(0.999);
    expect(least).toBeLessThan(1.02); // and touch
  });
});
