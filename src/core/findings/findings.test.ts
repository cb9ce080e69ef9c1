import { buildSupport, reachTowards } from '../segment/support';
import { makeSegmentMesh } from '../segment/registry';
import type { PreparedSegment } from '../segment/prepared-segment';
import { PREPARE_DEFAULTS, type PrepareSpec } from '../segment/segment-spec';
import type { RunJob } from '../motion/run-spec';
import type { CurveSpec } from '../curve/registry';
import { pathOf } from '../testing/curves';
import { checkInput, factOf } from '../testing/checks';
import { compiled, jobOf, prepared, tableOf } from '../testing/runs';
import { findAll } from './registry';

const road = prepared(makeSegmentMesh({ kind: 'kerbedLane', length: 4, laneWidth: 3, bankHeight: 0.5 }));
const plank = prepared(makeSegmentMesh({ kind: 'plank', length: 2, width: 1, thickness: 0.1 }));

interface Given {
  readonly segment?: PreparedSegment;
  readonly job?: Parameters<typeof jobOf>[0];
  readonly prepare?: Partial<PrepareSpec>;
  readonly isBrought?: boolean;
}

function find(path: CurveSpec, { segment = plank, job = {}, prepare = {}, isBrought = false }: Given = {}) {
  const whole: RunJob = jobOf({ laying: { kind: 'fillStretch' }, ...job });
  const table = tableOf(compiled(path), whole.shape.frames.rule, { tolerance: 1e-5 });
  const input = checkInput(path, table, segment, whole);
  return findAll({ ...input, prepare: { ...PREPARE_DEFAULTS, ...prepare }, isBrought });
}

const bend = (radius: number) =>
  pathOf(
    'straight',
    [
      [0, 0, 0],
      [20, 0, 0],
      [20, 0, 20],
    ],
    false,
    radius,
  );
const upright = { frames: { rule: 'upright', up: [0, 1, 0] } } as const;

describe('findings', () => {
  it('has nothing to say of a sound run', () => {
    expect(find(bend(6), { segment: road, job: { bending: upright } })).toEqual([]);
  });

  it('finds a bend tighter than the half width, where it is and what it needs', () => {
    const half = Math.max(...[...road.mesh.positions].filter((_, i) => i % 3 === 2));
    const [finding, ...more] = find(bend(3), { segment: road, job: { bending: upright } });
    expect(more).toEqual([]);
    expect(finding).toMatchObject({ check: 'foldingOver', remedy: { kind: 'roundBend' } });
    expect(factOf(finding, 'radius')).toBeCloseTo(3, 6);
    expect(factOf(finding, 'needed')).toBeCloseTo(half, 5);
    expect(finding.at!.from).toBeGreaterThanOrEqual(17 - 0.02);
    expect(finding.at!.to).toBeLessThanOrEqual(17 + 1.5 * Math.PI + 0.02);
    expect((finding.remedy as { radius: number }).radius).toBeCloseTo(half * 1.06, 9);
  });

  it('minds on which side of the path the section lies', () => {
    const drain = prepared(
      makeSegmentMesh({ kind: 'kerbDrain', length: 2, width: 0.3, depth: 0.2, offset: 5, height: 0 }),
    );
    const left = pathOf(
      'straight',
      [
        [0, 0, 0],
        [20, 0, 0],
        [20, 0, -20],
      ],
      false,
      3,
    );
    const check = (path: CurveSpec) => find(path, { segment: drain, job: { bending: upright } }).map((f) => f.check);
    expect(check(bend(3))).toEqual(['foldingOver']); // z is to the right of forward: this bend turns right
    expect(check(left)).toEqual([]);
  });

  it('takes a sharp corner for radius 0', () => {
    const [finding] = find(bend(0));
    expect(finding).toMatchObject({ check: 'foldingOver', facts: { radius: 0 } });
    expect(finding.at!.station).toBeCloseTo(20, 9);
  });

  it('finds too few rows when slicing is off, and how close together they must be', () => {
    const [finding] = find(bend(6), { job: { bending: { slicing: { by: 'off' } } } });
    expect(finding).toMatchObject({ check: 'tooFewRows', remedy: { kind: 'sliceAsNeeded' } });
    expect(factOf(finding, 'row')).toBeGreaterThan(factOf(finding, 'needed')!);
    expect(find(bend(6), { job: { bending: { slicing: { by: 'rows', rows: 64 } } } })).toEqual([]);
  });

  it('finds runs that end before or after their reach, but not when the end is trimmed', () => {
    const line = pathOf('straight', [
      [0, 0, 0],
      [10, 0, 0],
    ]);
    const counted = (count: number, pastEnd: 'straightOn' | 'trim' = 'straightOn') =>
      find(line, { job: { laying: { kind: 'byCount', count }, bending: { pastEnd } } });
    expect(counted(4)).toMatchObject([{ check: 'endMissed', facts: { remainder: 2 }, at: { from: 8, to: 10 } }]);
    expect(counted(6)).toMatchObject([{ check: 'endMissed', facts: { remainder: -2 }, at: { from: 10, to: 12 } }]);
    expect(counted(6, 'trim')).toEqual([]);
    expect(counted(5)).toEqual([]);
  });

  it('finds roundings that had to give way', () => {
    const tight = pathOf(
      'straight',
      [
        [0, 0, 0],
        [10, 0, 0],
        [10, 0, 10],
      ],
      false,
      30,
    );
    expect(find(tight)).toMatchObject([
      { check: 'roundingReduced', facts: { point: 1, asked: 30 }, remedy: { kind: 'setPointRadius' } },
    ]);
  });

  it('finds where an upright run climbs straight up', () => {
    const climb = pathOf(
      'straight',
      [
        [0, 0, 0],
        [10, 0, 0],
        [10, 10, 0],
      ],
      false,
      3,
    );
    const [finding] = find(climb, { job: { bending: upright } });
    expect(finding).toMatchObject({ check: 'steepPath', remedy: { kind: 'setFrameRule', rule: 'leastTwist' } });
  });

  it('finds a brought mesh that lies far from its middle or has an absurd size', () => {
    const mesh = makeSegmentMesh({ kind: 'kerbDrain', length: 2, width: 0.3, depth: 0.2, offset: 40, height: 0 });
    const line = pathOf('straight', [
      [0, 0, 0],
      [10, 0, 0],
    ]);
    expect(find(line, { segment: prepared(mesh), isBrought: true })).toMatchObject([
      { check: 'offMiddle', remedy: { change: { centre: 'middle' } } },
    ]);
    expect(find(line, { segment: prepared(mesh), isBrought: false })).toEqual([]);
    const huge = prepared(makeSegmentMesh({ kind: 'plank', length: 1800, width: 100, thickness: 40 }));
    expect(find(line, { segment: huge, isBrought: true })).toMatchObject([
      { check: 'absurdSize', remedy: { change: { unit: 0.001 } } },
    ]);
  });
});

describe('reachTowards', () => {
  it('gives a round section the same reach on all sides, to a tenth of a percent', () => {
    const support = buildSupport(
      prepared(makeSegmentMesh({ kind: 'tube', length: 1, radius: 2, sides: 256 })).mesh.positions,
    );
    for (let angle = 0; angle < 6.28; angle += 0.17) {
      expect(reachTowards(support, Math.cos(angle), Math.sin(angle)) / 2).toBeCloseTo(1, 3);
    }
  });
});
