import type { CurveSpec } from '../curve/registry';
import type { Vec3 } from '../math/vec3';
import { makeSegmentMesh } from '../segment/registry';
import type { PreparedSegment } from '../segment/prepared-segment';
import { pathOf } from '../testing/curves';
import { checkInput, factOf } from '../testing/checks';
import { compiled, jobOf, prepared, tableOf, type JobChange } from '../testing/runs';
import type { CheckInput } from './finding';
import { findAll, type CheckName } from './registry';

const plank = prepared(makeSegmentMesh({ kind: 'plank', length: 0.5, width: 0.2, thickness: 0.05 }));
const straight = (...places: Vec3[]): CurveSpec => pathOf('straight', places);
const LEVEL = straight([0, 0, 0], [10, 0, 0]);
const CORNER = straight([0, 0, 0], [3.1, 0, 0], [3.1, 0, 4]);

function find(
  check: CheckName,
  path: CurveSpec,
  job: JobChange,
  { segment = plank, input = {} }: { readonly segment?: PreparedSegment; readonly input?: Partial<CheckInput> } = {},
) {
  const whole = jobOf({ bending: { frames: { rule: 'upright', up: [0, 1, 0] } }, ...job });
  const table = tableOf(compiled(path), 'upright', { tolerance: 1e-5 });
  return findAll({ ...checkInput(path, table, segment, whole), ...input }).find((finding) => finding.check === check);
}

describe('findings of laying', () => {
  it('an opening that stays too wide, because one more piece would overlap', () => {
    const rule = (opening: number) => ({ laying: { kind: 'clearOpening', opening, ends: 'piece' } }) as const;
    expect(find('openingTooWide', LEVEL, rule(0.12))).toBeUndefined();
    const narrow = straight([0, 0, 0], [1.4, 0, 0]);
    const found = find('openingTooWide', narrow, rule(0.1));
    expect(factOf(found, 'opening')).toBeCloseTo(0.4, 6);
    expect(found?.remedy).toBeUndefined();
  });

  it('steps of unequal height, with equal ones as the remedy', () => {
    const uneven = straight([0, 0, 0], [3, 1, 0], [6, 3, 0]);
    const fit = { kind: 'level', at: 'end' } as const;
    const found = find('unevenRise', uneven, { laying: { kind: 'fillStretch' }, fit });
    expect(factOf(found, 'greatest')! / factOf(found, 'least')!).toBeCloseTo(2, 6);
    expect(found?.remedy).toEqual({ kind: 'setLayingRule', rule: 'fromRise' });
    expect(find('unevenRise', uneven, { laying: { kind: 'fromRise', highest: 0.2 }, fit })).toBeUndefined();
    expect(find('unevenRise', LEVEL, { laying: { kind: 'fillStretch' }, fit })).toBeUndefined();
  });

  it('a bare end, unless the run slides along; one that goes beyond its reach is told all the same', () => {
    const counted = (count: number, travels: boolean) =>
      find('endMissed', LEVEL, { laying: { kind: 'byCount', count } }, { input: { travels } });
    expect(factOf(counted(17, false), 'remainder')).toBeCloseTo(1.5, 9);
    expect(counted(17, true)).toBeUndefined();
    expect(factOf(counted(23, true), 'remainder')).toBeCloseTo(-1.5, 9);
  });

  it('a loop of links that is left open, by its slack', () => {
    const loop: CurveSpec = { kind: 'belt', closed: true, points: [{ position: [0, 0, 0], radius: 1 }, { position: [4, 0, 0], radius: 1 }] }; // prettier-ignore
    const pinned = (slack: string) => ({ laying: { kind: 'pinToPin', slack }, fit: { kind: 'pinned' } }) as const;
    const found = find('loopOpen', loop, pinned('open'));
    expect(factOf(found, 'slack')).toBeGreaterThan(0);
    expect(factOf(found, 'slack')).toBeLessThan(0.5);
    expect(found?.remedy).toEqual({ kind: 'shareSlack' });
    expect(find('loopOpen', loop, pinned('shared') as JobChange)).toBeUndefined();
  });

  it('links that are longer than the bend is wide', () => {
    const loop = (radius: number): CurveSpec => ({ kind: 'belt', closed: true, points: [{ position: [0, 0, 0], radius: 1 }, { position: [4, 0, 0], radius }] }); // prettier-ignore
    const pinned: JobChange = { laying: { kind: 'pinToPin' }, fit: { kind: 'pinned' } };
    expect(factOf(find('linkTooLong', loop(0.24), pinned), 'radius')).toBeCloseTo(0.24, 6);
    expect(find('linkTooLong', loop(0.26), pinned)).toBeUndefined();
  });

  it('teeth that are not as far apart as the links', () => {
    const loop = (pitch: number): CurveSpec => ({ kind: 'belt', closed: true, points: [{ position: [0, 0, 0], teeth: 12 }, { position: [4, 0, 0], teeth: 12 }], numbers: { pitch } }); // prettier-ignore
    const pinned: JobChange = { laying: { kind: 'pinToPin' }, fit: { kind: 'pinned' } };
    expect(find('toothPitch', loop(0.4), pinned)?.remedy).toEqual({ kind: 'setToothPitch', metres: 0.5 });
    expect(find('toothPitch', loop(0.5), pinned)).toBeUndefined();
  });

  it('stiff pieces across a sharp corner, until the course is parted there', () => {
    const stiff = { kind: 'stiff', stands: 'square' } as const;
    const found = find('cornerMissing', CORNER, { laying: { kind: 'fillStretch' }, fit: stiff });
    expect(factOf(found, 'angle')).toBeCloseTo(Math.PI / 2, 9);
    const joints = { at: 'corners', angle: 0.5, clear: 0 } as const;
    expect(
      find('cornerMissing', CORNER, { laying: { kind: 'fillStretch', also: { joints } }, fit: stiff }),
    ).toBeUndefined();
    expect(find('cornerMissing', CORNER, { laying: { kind: 'fillStretch' } })).toBeUndefined();
  });

  it('pieces at places that are too near to each other', () => {
    const found = find('piecesOverlap', LEVEL, { laying: { kind: 'atStations', stations: [1, 1.2, 4] } });
    expect(factOf(found, 'overlap')).toBeCloseTo(0.3, 6);
    expect(factOf(found, 'count')).toBe(1);
    expect(find('piecesOverlap', LEVEL, { laying: { kind: 'atStations', stations: [1, 4] } })).toBeUndefined();
  });

  it('pieces that are pressed to less than their stiff part', () => {
    const fitted = prepared(makeSegmentMesh({ kind: 'plank', length: 0.5, width: 0.2, thickness: 0.05 }), { stiff: [{ from: 0.1, to: 0.4 }] }); // prettier-ignore
    const pressed = (count: number): JobChange => ({ laying: { kind: 'byCount', count, over: 'stretch' } });
    expect(factOf(find('pressedTooFar', LEVEL, pressed(40), { segment: fitted }), 'needed')).toBeCloseTo(0.3, 6);
    expect(find('pressedTooFar', LEVEL, pressed(30), { segment: fitted })).toBeUndefined();
  });

  it('a brought mesh whose ends do not meet, by how far they are off', () => {
    const { mesh } = plank;
    const wedge = {
      ...mesh,
      positions: mesh.positions.map((v, i) => (i % 3 === 2 ? v * (1 + mesh.positions[i - 2]) : v)),
    };
    const input = { isBrought: true };
    const found = find('seamOpen', LEVEL, { laying: { kind: 'fillStretch' } }, { segment: prepared(wedge), input });
    expect(factOf(found, 'off')).toBeGreaterThan(0.03);
    expect(found?.remedy).toMatchObject({ kind: 'prepare' });
    expect(find('seamOpen', LEVEL, { laying: { kind: 'fillStretch' } }, { input })).toBeUndefined();
  });
});
