import type { RunJob } from '../motion/run-spec';
import { bendTolerance } from '../layout/bending-spec';
import type { Curve } from '../curve/curve';
import type { CurveSpec } from '../curve/registry';
import { STEEP_ANGLE } from '../math/tolerance';
import type { Vec3 } from '../math/vec3';
import { longestRow } from '../segment/pieces/plan-slices';
import { halfWidth, type PreparedSegment } from '../segment/prepared-segment';
import { makeSegmentMesh } from '../segment/registry';
import { PREPARE_DEFAULTS, type PrepareSpec } from '../segment/segment-spec';
import { ellipse, pathOf } from '../testing/curves';
import { checkInput, factOf } from '../testing/checks';
import { compiled, jobOf, prepared, tableOf, type JobChange } from '../testing/runs';
import { ball } from '../testing/surfaces';
import type { CheckName, Finding } from './registry';
import { findAll } from './registry';
import type { CheckInput } from './finding';

interface Given {
  /** In place of the path's own. */
  readonly curve?: Curve;
  readonly segment?: PreparedSegment;
  readonly job?: Parameters<typeof jobOf>[0];
  readonly input?: Partial<CheckInput>;
  readonly prepare?: Partial<PrepareSpec>;
}

const upright = { frames: { rule: 'upright', up: [0, 1, 0] as [number, number, number] } } as const;
/** A plank a metre wide and 10 cm thick. */
const plank = prepared(makeSegmentMesh({ kind: 'plank', length: 2, width: 1, thickness: 0.1 }));

function find(
  path: CurveSpec,
  { curve, segment = plank, job = {}, input = {}, prepare = {} }: Given = {},
): readonly Finding[] {
  const whole: RunJob = jobOf({
    laying: { kind: 'fillStretch', ...job.laying },
    bending: { ...upright, ...job.bending },
  });
  const tolerance = bendTolerance(whole.bending.tolerance, halfWidth(segment.box), whole.shape.gauge) / 16;
  const { rule, up } = whole.shape.frames;
  const table = tableOf(curve ?? compiled(path), rule, { tolerance }, [up[0], up[1], up[2]]);
  return findAll({
    ...checkInput(path, table, segment, whole),
    prepare: { ...PREPARE_DEFAULTS, ...prepare },
    ...input,
  });
}
const has = (check: CheckName, ...given: Parameters<typeof find>) => find(...given).some((f) => f.check === check);

/** A right angle rounded to a radius. */
const bend = (radius: number) => pathOf('straight', [[0, 0, 0], [40, 0, 0], [40, 0, 40]], false, radius); // prettier-ignore
const LINE = pathOf('straight', [[0, 0, 0], [10, 0, 0]]); // prettier-ignore
const half = halfWidth(plank.box); // to the corner of the section
const [reachSide, reachDown, reachUp] = [plank.box.max[2], -plank.box.min[1], plank.box.max[1]];

describe('tighter than the segment can bear', () => {
  // The inner edge has no length where the radius is the section's reach towards the middle of the bend (elementary).
  it.each([
    { name: 'lying flat', job: {}, reach: reachSide },
    { name: 'rolled upright', job: { bending: { roll: Math.PI / 2 } }, reach: reachUp },
    { name: 'twice as thick', job: { bending: { gauge: 2 } }, reach: 2 * reachSide },
    { name: 'stretched', job: { laying: { kind: 'onePiece' } as const }, reach: reachSide },
  ])('begins at the reach of the section: $name', ({ job, reach }) => {
    expect(has('foldingOver', bend(reach * 0.99), { job })).toBe(true);
    expect(has('foldingOver', bend(reach * 1.01), { job })).toBe(false);
  });

  it('minds where a run that turns as it goes is on edge', () => {
    // On its side at the bend, by turns that end there: a quarter over the 40 m before it.
    const quarter = { laying: { to: 80 }, bending: { turns: 0.5 } };
    expect(has('foldingOver', bend(reachSide * 0.9), { job: quarter })).toBe(false);
    expect(has('foldingOver', bend(reachSide * 0.9))).toBe(true);
  });

  it('is told of for two places by two findings, and outside the reach by none', () => {
    const zigzag = pathOf('straight', [[0, 0, 0], [40, 0, 0], [40, 0, 40], [80, 0, 40]], false, reachSide * 0.8); // prettier-ignore
    const stations = find(zigzag).filter(({ check }) => check === 'foldingOver').map(({ at }) => at!.station); // prettier-ignore
    expect(stations).toHaveLength(2);
    expect(stations[1] - stations[0]).toBeGreaterThan(30);
    expect(find(zigzag, { job: { laying: { to: 60 } } }).filter(({ check }) => check === 'foldingOver')).toHaveLength(
      1,
    );
    expect(has('foldingOver', zigzag, { job: { laying: { to: 30 } } })).toBe(false);
  });

  // An ellipse is sharpest at the ends of its long axis, where the radius is b² / a (elementary).
  it('sees the sharpest place of a bend between two samples', () => {
    const curve = ellipse(10, 3.1, 1.1);
    const bending = { frames: { rule: 'upright' as const, up: [0, 0, 1] as [number, number, number] } };
    const wide = (share: number) =>
      prepared(makeSegmentMesh({ kind: 'plank', length: 2, width: (2 * share * 3.1 ** 2) / 10, thickness: 0.1 }));
    expect(find(LINE, { curve, segment: wide(1.001), job: { bending } }).filter(({ check }) => check === 'foldingOver')).toHaveLength(2); // prettier-ignore
    expect(has('foldingOver', LINE, { curve, segment: wide(0.999), job: { bending } })).toBe(false);
  });

  it('sees a bend that lies within a reach shorter than its samples are apart', () => {
    const from = 40 - 0.25 + 0.1; // inside the rounding, which begins a radius before the corner
    expect(has('foldingOver', bend(0.25), { job: { laying: { from, to: from + 0.01, rule: 'onePiece' } } })).toBe(true);
  });
});

describe('too near to a guide', () => {
  // The path passes a ball of 1 m at a height: what is between is the height less the radius and the section's reach down.
  const over = (gap: number) => pathOf('straight', [[-6, 1 + gap, 0], [6, 1 + gap, 0]]); // prettier-ignore
  const guides = (clearance: number | null) => ({ guides: [{ id: 'g', clearance, surface: ball(1) }] });
  const near = (gap: number, clearance: number | null, job = {}) =>
    find(over(gap), { job, input: guides(clearance) }).filter(({ check }) => check === 'tooNearGuide');

  it.each([
    { name: 'lying flat', job: {}, reach: reachDown },
    { name: 'rolled on edge', job: { bending: { roll: Math.PI / 2 } }, reach: reachSide },
    { name: 'three times as thick', job: { bending: { gauge: 3 } }, reach: 3 * reachDown },
  ])('begins at the clearance that is asked for: $name', ({ job, reach }) => {
    expect(near(reach + 0.2 - 0.003, 0.2, job)).toHaveLength(1);
    expect(near(reach + 0.2 + 0.003, 0.2, job)).toHaveLength(0);
    expect(factOf(near(reach - 0.003, 0, job)[0], 'gap')).toBeLessThan(0);
    expect(near(reach - 0.5, null, job)).toHaveLength(0);
  });

  // 12 m with a turn and a half, from lying: over the ball, in the middle, three quarters of a turn have it on edge.
  it('minds that a run which turns as it goes is on edge there', () => {
    const turned = { bending: { turns: 1.5 } };
    expect(near(reachSide + 0.2 - 0.003, 0.2, turned)).toHaveLength(1);
    expect(near(reachSide + 0.2 + 0.003, 0.2, turned)).toHaveLength(0);
    expect(near(reachSide + 0.2 - 0.003, 0.2)).toHaveLength(0);
  });

  it('is found on a straight leg of two samples, and twice where the path comes back', () => {
    const y = 0.9 + reachDown;
    const back = pathOf('straight', [[-6, y, 0], [6, y, 0], [6, y, 6], [-6, y, 6], [-6, y, 0.2], [6, y, 0.2]]); // prettier-ignore
    expect(find(back, { input: guides(0) }).filter(({ check }) => check === 'tooNearGuide')).toHaveLength(2);
  });
});

describe('too few rows', () => {
  const rowsOf = (rows: number, bending: JobChange['bending'], laying: JobChange['laying'] = {}) => ({
    laying,
    bending: { slicing: { by: 'rows' as const, rows }, tolerance: 0.01, ...bending },
  });
  const long = 40 + 40 - 2 * 6 + (Math.PI / 2) * 6;
  const longPlank = prepared(makeSegmentMesh({ kind: 'plank', length: 100, width: 1, thickness: 0.1 }));
  const [filled, single] = [{ kind: 'fillStretch' }, { kind: 'onePiece' }] as const;

  // Sagitta of a chord at the outer edge (elementary); rows are as long as the piece is laid.
  it.each([
    { name: 'as it is', laid: long / 39, laying: filled, bending: {} },
    { name: 'thicker', laid: long / 39, laying: filled, bending: { gauge: 1.5 } },
    { name: 'rolled', laid: long / 39, laying: filled, bending: { roll: 1 } },
    { name: 'stretched', laid: long, laying: single, bending: {} },
    { name: 'pressed', laid: long, laying: single, bending: {}, segment: longPlank },
  ])('begins where a row’s chord leaves the bend by the tolerance: $name', ({ laid, laying, bending, segment }) => {
    const enough = Math.ceil(laid / longestRow(1 / 6, half * (bending.gauge ?? 1), 0.01));
    expect(enough).toBeGreaterThan(1);
    const given = (rows: number) => ({ job: rowsOf(rows, bending, laying), ...(segment && { segment }) });
    expect(has('tooFewRows', bend(6), given(enough))).toBe(false);
    expect(has('tooFewRows', bend(6), given(enough - 1))).toBe(true);
  });

  // A straight edge at distance r on a surface that twists by w a metre leaves it by r (1 - cos(w l / 2)) in the middle of l metres.
  it('begins where a row of a turned run leaves the twisted surface by the tolerance', () => {
    const twist = (2 * Math.PI * 3) / 10;
    const enough = Math.ceil(2 / ((2 * Math.acos(1 - 0.01 / half)) / twist));
    expect(enough).toBeGreaterThan(2);
    expect(has('tooFewRows', LINE, { job: rowsOf(enough, { turns: 3 }) })).toBe(false);
    expect(has('tooFewRows', LINE, { job: rowsOf(enough - 1, { turns: 3 }) })).toBe(true);
  });

  it('is told of for two bends by two findings', () => {
    const two = pathOf('straight', [[0, 0, 0], [40, 0, 0], [40, 0, 40], [80, 0, 40]], false, 6); // prettier-ignore
    const found = find(two, { job: rowsOf(1, {}) }).filter(({ check }) => check === 'tooFewRows');
    expect(found).toHaveLength(2);
    expect(found[1].at!.from - found[0].at!.to).toBeGreaterThan(15);
  });

  it('tells of a corner under a piece that has no row for it, and not where pieces meet', () => {
    const corner = (x: number) => pathOf('straight', [[0, 0, 0], [x, 0, 0], [x, 0, 10]]); // prettier-ignore
    const off = { laying: { kind: 'byCount' as const, count: 5 }, bending: { slicing: { by: 'off' as const } } };
    expect(has('tooFewRows', corner(5), { job: off })).toBe(true);
    expect(has('tooFewRows', corner(4), { job: off })).toBe(false);
  });

  it('says nothing while rows are found by themselves', () => {
    expect(has('tooFewRows', bend(1))).toBe(false);
  });
});

describe('too many bends', () => {
  it('begins where samples or rows keep to less than was asked for', () => {
    const wanted = half * 1e-3;
    expect(has('tooCoarse', LINE, { input: { rowTolerance: wanted * 0.999 } })).toBe(false);
    const [finding] = find(LINE, { input: { rowTolerance: wanted * 1.01 } });
    expect(finding).toMatchObject({ check: 'tooCoarse', remedy: { kind: 'setTolerance', metres: wanted * 1.01 } });
  });
});

describe('a piece that is stretched', () => {
  const one = (length: number, isBrought = true) =>
    find(pathOf('straight', [[0, 0, 0], [length, 0, 0]]), { job: { laying: { kind: 'onePiece' } }, input: { isBrought } }) // prettier-ignore
      .filter(({ check }) => check === 'overStretched');

  it('is told of from one and a half times its 2 m on, and from two thirds of them down', () => {
    expect([2.99, 3.01, 1.34, 1.32].map((length) => one(length).length)).toEqual([0, 1, 0, 1]);
    expect(one(6)[0].facts).toEqual({ stretch: expect.closeTo(3, 9), length: expect.closeTo(6, 9) });
  });

  it('is cured by a segment of that length where it is made here, and by several where it was brought', () => {
    expect(one(6, false)[0].remedy).toEqual({ kind: 'setSegmentLength', metres: expect.closeTo(6, 9) });
    expect(one(6)[0].remedy).toEqual({ kind: 'setLayingRule', rule: 'fillStretch' });
  });
});

describe('an end that is missed', () => {
  it.each([
    { off: 2e-7, isFound: false },
    { off: 2e-5, isFound: true },
    { off: -2e-5, isFound: true },
  ])('begins at a millionth of the reach: $off of it', ({ off, isFound }) => {
    const path = pathOf('straight', [[0, 0, 0], [10 * (1 + off), 0, 0]]); // prettier-ignore
    expect(has('endMissed', path, { job: { laying: { kind: 'byCount', count: 5 } } })).toBe(isFound);
  });
});

describe('a rounding that does not fit', () => {
  it('begins where the tangents need more than the legs have', () => {
    expect(has('roundingReduced', bend(39.99))).toBe(false);
    expect(has('roundingReduced', bend(40.01))).toBe(true);
    const two = pathOf('straight', [[0, 0, 0], [10, 0, 0], [10, 0, 40], [20, 0, 40]], false, 11); // prettier-ignore
    expect(find(two).filter(({ check }) => check === 'roundingReduced').map((finding) => factOf(finding, 'point'))).toEqual([1, 2]); // prettier-ignore
  });
});

describe('a path that climbs straight up', () => {
  const climb = (off: number) => {
    const [c, s] = [Math.cos(off), Math.sin(off)];
    return pathOf('straight', [[0, 0, 0], [10, 0, 0], [10 + 8 * s, 8 * c, 0], [22, 8 * c, 0]], false, 2); // prettier-ignore
  };
  it('begins five degrees off the up direction', () => {
    expect(has('steepPath', climb(STEEP_ANGLE * 1.02))).toBe(false);
    expect(has('steepPath', climb(STEEP_ANGLE * 0.98))).toBe(true);
    expect(has('steepPath', climb(0), { job: { bending: { frames: { rule: 'leastTwist', up: [0, 1, 0] } } } })).toBe(
      false,
    );
  });

  it('is told of for two climbs by two findings', () => {
    const twice: Vec3[] = [[0, 0, 0], [10, 0, 0], [10, 8, 0], [22, 8, 0], [22, 16, 0], [34, 16, 0]]; // prettier-ignore
    expect(find(pathOf('straight', twice, false, 2)).filter(({ check }) => check === 'steepPath')).toHaveLength(2);
  });
});

describe('a mesh that was brought', () => {
  it('lies beside its middle from twice its section on', () => {
    const at = (offset: number) =>
      prepared(makeSegmentMesh({ kind: 'kerbDrain', length: 2, width: 0.3, depth: 0.2, offset, height: 0 }));
    const size = Math.hypot(0.3, at(0).box.max[1] - at(0).box.min[1]);
    const middle = Math.hypot((at(0).box.max[2] + at(0).box.min[2]) / 2, (at(0).box.max[1] + at(0).box.min[1]) / 2);
    expect(has('offMiddle', LINE, { segment: at(2 * size - middle - 0.2), job: { laying: { kind: 'onePiece' } } })).toBe(false); // prettier-ignore
    expect(has('offMiddle', LINE, { segment: at(2 * size + middle + 0.2), job: { laying: { kind: 'onePiece' } } })).toBe(true); // prettier-ignore
  });

  // A file of inches: 39.37 of its units are a metre.
  it.each([
    { unit: 1, metres: 999, isFound: false },
    { unit: 1, metres: 1001, isFound: true },
    { unit: 0.0254, metres: 1001, isFound: true },
    { unit: 0.3048, metres: 0.00101, isFound: false },
    { unit: 0.001, metres: 0.00099, isFound: true },
  ])('has an unlikely size of $metres m in units of $unit m: $isFound', ({ unit, metres, isFound }) => {
    const mesh = makeSegmentMesh({ kind: 'plank', length: 1, width: 0.2, thickness: 0.1 });
    const scaled = { ...mesh, positions: mesh.positions.map((v) => (v * metres) / unit) };
    const segment = prepared(scaled, { unit });
    expect(segment.length / metres).toBeCloseTo(1, 5);
    expect(has('absurdSize', LINE, { segment, prepare: { unit }, job: { laying: { kind: 'onePiece' } } })).toBe(
      isFound,
    );
  });
});
