import { MOTION_DEFAULTS } from '../motion/motion-spec';
import { buildArcTable, fillParams } from '../curve/arc-table';
import type { Curve } from '../curve/curve';
import { buildFrameTable } from '../frames/build-frame-table';
import { distance, type Vec3 } from '../math/vec3';
import { makeSegmentMesh } from '../segment/registry';
import { ellipse, helix, pathOf } from '../testing/curves';
import { bentRun, compiled, jobOf, laidRun, planRun, prepared, shapeOf, tableOf, unwrap } from '../testing/runs';
import { chordsOf } from './chords';

const chordsAlong = (curve: Curve) => {
  const table = buildFrameTable(buildArcTable(curve), { rule: 'leastTwist', up: [0, 1, 0] });
  return { table, chords: chordsOf(shapeOf(table), 0, table.length) };
};
const pinAt = (pins: Float64Array, i: number): Vec3 => [pins[i * 3], pins[i * 3 + 1], pins[i * 3 + 2]];

describe('chordsOf', () => {
  it('says stations at which the curve has the pins, to 1e-11 of its length, however far from pin to pin', () => {
    const lopsided = compiled({ kind: 'handles', closed: false, points: [{ position: [0, 0, 0], handleOut: [3, 0, 1] }, { position: [4, 1, 2], handleIn: [-0.5, 0, -3], handleOut: [0.5, 0, 3] }, { position: [9, 0, 0], handleIn: [-2, 2, 0] }] }); // prettier-ignore
    const arc = buildArcTable(lopsided);
    for (const pitch of [0.1, 0.37, 1.1, 2.3]) {
      const { stations, pins } = chordsAlong(lopsided).chords.walk(pitch);
      stations.forEach((station, i) => {
        const place = new Float64Array(3);
        const u = new Float64Array(1);
        fillParams(u, arc, Float64Array.of(station));
        lopsided.pointAt(place, 0, u[0]);
        expect(distance(pinAt(pins, i), [place[0], place[1], place[2]])).toBeLessThan(arc.length * 1e-11);
        if (i > 0) expect(distance(pinAt(pins, i), pinAt(pins, i - 1))).toBeCloseTo(pitch, 12);
      });
    }
  });

  // Reference e57: 49 whole links of 12.7 fit on a circle of radius 100 (elementary).
  it('lays 49 links of 12.7 on a circle of radius 100, with the chord of the rest left', () => {
    const walk = chordsAlong(ellipse(100, 100)).chords.walk(12.7);
    expect(walk.stations).toHaveLength(50);
    const turned = 49 * 2 * Math.asin(12.7 / 200);
    expect(walk.left).toBeCloseTo(200 * Math.sin((2 * Math.PI - turned) / 2), 9);
  });

  // Reference e60: 36 links of 12.7 on a cubic Bezier, 10.07719882213 left (derived, routes agree to 9e-15).
  it('walks a cubic Bezier as computed by brute force', () => {
    const places: Vec3[] = [[0, 0, 0], [100, 200, 0], [300, -100, 0], [400, 100, 0]]; // prettier-ignore
    const [a, b, c, d] = places;
    const out = (p: Vec3, q: Vec3): Vec3 => [q[0] - p[0], q[1] - p[1], q[2] - p[2]];
    const curve = compiled({
      kind: 'handles',
      closed: false,
      points: [
        { position: a, handleOut: out(a, b) },
        { position: d, handleIn: out(d, c) },
      ],
    });
    const walk = chordsAlong(curve).chords.walk(12.7);
    expect(walk.stations).toHaveLength(37);
    expect(walk.left).toBeCloseTo(10.07719882213, 9);
  });

  // Reference e58: 24.78358778787 links a turn on a helix of radius 50 and pitch 30 (derived, routes agree to 2e-16).
  it('takes even steps on a helix, of the angle that the chord comes to', () => {
    const { table, chords } = chordsAlong(helix(50, 30 / (2 * Math.PI), 4));
    const { stations } = chords.walk(12.7);
    const step = (0.2535220227579 / (2 * Math.PI)) * (table.length / 4);
    for (let i = 1; i < stations.length; i++) expect(stations[i] - stations[i - 1]).toBeCloseTo(step, 8);
  });

  // Reference e59: 60 equal chords close on an ellipse of 200 by 120 at 17.00773970971 (derived, routes agree to 1e-16).
  it('closes a loop of 60 links on an ellipse with the pitch that is known for it', () => {
    const { chords } = chordsAlong(ellipse(200, 120));
    const walk = chords.closed(17, 1, { count: 60 });
    expect(walk.pitch).toBeCloseTo(17.00773970971, 9);
    for (let i = 0; i < 60; i++)
      expect(distance(pinAt(walk.pins, i), pinAt(walk.pins, i + 1))).toBeCloseTo(walk.pitch, 10);
    expect(chords.closed(17, 1).stations).toHaveLength(61);
    expect(chords.closed(17, 7).stations).toHaveLength(64); // 63 is the multiple of 7 that comes nearest
  });

  // Reference e17: the pitch circle of 17 teeth at 12.7 has the diameter 69.11582762724794 (ISO 606).
  it.each([
    [9, 37.13231588207121],
    [17, 69.11582762724794],
    [40, 161.8677845084162],
  ])('closes on exactly %i teeth on their pitch circle', (teeth, diameter) => {
    const walk = chordsAlong(ellipse(diameter / 2, diameter / 2)).chords.closed(12.7, 1);
    expect(walk.stations).toHaveLength(teeth + 1);
    expect(walk.pitch / 12.7).toBeCloseTo(1, 10);
  });

  it('says where the path bends too tightly for a link', () => {
    const hairpin = pathOf('straight', [[0, 0, 0], [5, 0, 0], [5, 0, 0.3], [0, 0, 0.3]]); // prettier-ignore
    const { chords } = chordsAlong(compiled(hairpin));
    expect(chords.walk(0.2).stuckAt).toBeUndefined();
    expect(chords.walk(0.9).stuckAt).toBeGreaterThan(4);
    const link = prepared(makeSegmentMesh({ kind: 'plank', length: 0.9, width: 0.1, thickness: 0.05 }));
    const job = jobOf({ laying: { kind: 'pinToPin' }, fit: { kind: 'pinned' } });
    expect(laidRun({ segment: link, table: tableOf(compiled(hairpin), 'upright'), job }).laid).toMatchObject({
      ok: false,
      problems: [{ code: 'laying.link-too-long' }],
    });
  });
});

describe('pinned links', () => {
  const link = prepared(makeSegmentMesh({ kind: 'plank', length: 0.5, width: 0.2, thickness: 0.06 }), {
    centre: 'middle',
  });
  const table = tableOf(ellipse(3, 2), 'leastTwist', { tolerance: 1e-6 });
  const job = (slack: 'open' | 'shared') =>
    jobOf({ laying: { kind: 'pinToPin', gap: -0.1, slack }, fit: { kind: 'pinned' } });

  it('keep every distance within a link, and have their pins on the path to 1e-9', () => {
    const { plan, layout } = bentRun(link, table, job('shared'));
    const pins = layout.pinned!.pins;
    for (let i = 0; i + 1 < pins.length / 3; i++) {
      const [x, y, z] = pinAt(pins, i);
      expect(Math.abs((x / 3) ** 2 + (y / 2) ** 2 - 1) + Math.abs(z)).toBeLessThan(1e-12);
    }
    // Placed in double precision: rows carry the whole link as one.
    const { mesh } = bentRun(link, table, job('shared'));
    const size = link.mesh.positions.length;
    plan.pieces.forEach((_, k) => {
      const at = (of: Float32Array, v: number, first: number): Vec3 => [of[first + v * 3], of[first + v * 3 + 1], of[first + v * 3 + 2]]; // prettier-ignore
      for (let v = 1; v * 3 < size; v++) {
        const own = distance(at(link.mesh.positions, 0, 0), at(link.mesh.positions, v, 0));
        expect(distance(at(mesh.positions, 0, k * size), at(mesh.positions, v, k * size))).toBeCloseTo(own, 5);
      }
    });
  });

  it('close round a loop with a pitch that is as near as can be to their own', () => {
    const { layout } = bentRun(link, table, job('shared'));
    expect(layout.remainder).toBe(0);
    const pins = layout.pinned!.pins;
    const pitches = Array.from({ length: pins.length / 3 - 1 }, (_, i) => distance(pinAt(pins, i), pinAt(pins, i + 1)));
    expect(Math.max(...pitches) - Math.min(...pitches)).toBeLessThan(1e-11);
    expect(Math.abs(pitches[0] / 0.4 - 1)).toBeLessThan(0.5 / pitches.length);
    const open = bentRun(link, table, job('open')).layout;
    expect(open.remainder).toBeGreaterThan(0);
    expect(open.remainder).toBeLessThan(0.41);
  });

  it('stay pinned to the path while they travel', () => {
    const moving = { ...job('shared'), motion: { ...MOTION_DEFAULTS, speed: 0.3 } };
    for (const time of [0.37, 1.9, 40]) {
      const { pieces } = unwrap(planRun({ segment: link, table, job: moving, time }));
      for (const { place } of pieces) {
        const pins = place.pins!;
        for (const at of [0, 3])
          expect(Math.abs((pins[at] / 3) ** 2 + (pins[at + 1] / 2) ** 2 - 1)).toBeLessThan(1e-12);
        expect(distance(pinAt(pins, 0), pinAt(pins, 1))).toBeCloseTo(0.4, 1);
      }
      expect(pieces[0].place.station).toBeCloseTo(0.3 * time, 6);
    }
  });
});
