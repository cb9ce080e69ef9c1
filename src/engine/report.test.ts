import { pathOf } from '../core/testing/curves';
import { jobOf, unwrap, type JobChange } from '../core/testing/runs';
import { planAt, sourceWith } from './testing/sources';
import type { CurveSpec } from '../core/curve/registry';
import { MADE_PREPARE, makerDefaults } from '../project/defaults';
import { encode } from 'fast-png';
import { bringImage, MAX_IMAGE_BYTES } from './bring-image';
import { loadFrom } from './bake';
import { Deriver } from './derive';
import { buildReport } from './report';

const segment = { id: 's', name: 'S', source: { from: 'maker' as const, spec: makerDefaults('plank') }, prepare: MADE_PREPARE, finishes: [] }; // prettier-ignore
async function report(curve: CurveSpec, change: JobChange, prepare = {}) {
  const own = { ...segment, prepare: { ...MADE_PREPARE, ...prepare } };
  const source = sourceWith({ segment: own, curve, job: jobOf(change) });
  const derived = unwrap(await new Deriver(loadFrom(new Map())).derive(source));
  return buildReport('R', derived, 0, planAt(derived), { frames: 5 });
}
const LINE = pathOf('straight', [[0, 0, 0], [20, 0, 0]]); // prettier-ignore

describe('a report', () => {
  it('gives the roll of each piece from the start of its reach on', async () => {
    const laying = { kind: 'fillStretch', from: 4, to: 14 } as const;
    const { placements, twist } = await report(LINE, { laying, bending: { roll: 0.3, turns: 2 } });
    for (const { station, roll } of placements)
      expect(roll).toBeCloseTo(0.3 + (2 * Math.PI * 2 * (station - 4)) / 10, 9);
    expect(placements[0].roll).toBeCloseTo(0.3, 12);
    expect(twist.total).toBeCloseTo(4 * Math.PI, 9);
    expect(twist.leastPerMetre).toBeCloseTo((4 * Math.PI) / 10, 9);
  });

  // On a helix upright frames turn by the torsion against the path: c / (r² + c²) a metre (do Carmo 1976, 1-5).
  it.each([0.001, 0.5, 9])('gives the twist of a reach of %d m, however short', async (long) => {
    const [r, c] = [2, 0.5];
    const spec: CurveSpec = { kind: 'helix', closed: false, points: [{ position: [0, 0, 0] }, { position: [0, 2 * Math.PI * c * 3, 0] }], numbers: { turns: 3, startRadius: r, endRadius: r } }; // prettier-ignore
    const { twist } = await report(spec, { laying: { kind: 'onePiece', from: 3, to: 3 + long }, bending: { frames: { rule: 'upright', up: [0, 1, 0] } } }); // prettier-ignore
    const perMetre = Math.abs(twist.total) / long;
    expect(Math.abs(twist.leastPerMetre)).toBeCloseTo(perMetre, 3);
    const start = (await report(spec, {})).frames![0];
    const radius = Math.hypot(start.position[0], start.position[2]);
    const rise = Math.abs(start.forward[1]) * (1 / Math.hypot(start.forward[0], start.forward[2])) * radius;
    expect(perMetre).toBeCloseTo(rise / (radius * radius + rise * rise), 3);
  });

  it('lists head and tail once, whatever the count', async () => {
    const { placements } = await report(LINE, { laying: { kind: 'byCount', count: 3 } }, { head: 0.3, tail: 0.2 });
    expect(placements.map(({ kind }) => kind)).toEqual(['head', 'body', 'body', 'body', 'tail']);
    const body = placements[1].naturalLength;
    expect(placements[4].station).toBeCloseTo(0.3 + 3 * body, 6);
    expect(placements[4].length).toBeCloseTo(0.2, 6);
  });

  it('lists frames evenly along the path', async () => {
    const { frames } = await report(LINE, {});
    expect(frames!.map(({ station }) => station)).toEqual([0, 5, 10, 15, 20]);
    expect(frames![2].position).toEqual([10, 0, 0]);
  });
});

describe('bringImage', () => {
  it('knows an image by its first bytes, whatever its name', async () => {
    const png = encode({ width: 2, height: 2, channels: 3, depth: 8, data: new Uint8Array(12).fill(90) });
    const texture = unwrap(await bringImage({ name: 'moss.txt', bytes: png }));
    expect(texture).toMatchObject({ mime: 'image/png', fileName: 'moss.txt' });
    expect(texture.asset).toMatch(/^[0-9a-f]{64}$/);
    expect(await bringImage({ name: 'a.png', bytes: png.slice(1) })).toMatchObject({
      problems: [{ code: 'image.unknown' }],
    });
    const damaged = png.slice();
    damaged[damaged.length - 20] ^= 1; // in the compressed pixels: the checksum tells
    for (const bytes of [damaged, png.slice(0, 60)])
      expect(await bringImage({ name: 'a.png', bytes })).toMatchObject({ problems: [{ code: 'image.damaged' }] });
    const large = new Uint8Array(MAX_IMAGE_BYTES + 1);
    large.set(png);
    expect(await bringImage({ name: 'a.png', bytes: large })).toMatchObject({
      problems: [{ code: 'image.too-large' }],
    });
  });
});
