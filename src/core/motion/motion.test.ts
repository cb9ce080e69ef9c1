import { isClosed } from '../mesh/is-closed';
import { volume } from '../mesh/measure';
import { makeSegmentMesh } from '../segment/registry';
import { ellipse, pathOf } from '../testing/curves';
import { manifoldOf } from '../testing/manifold';
import { bentRun, compiled, jobOf, laidRun, planRun, prepared, tableOf, unwrap } from '../testing/runs';
import { frameBeside, momentAfter } from './clock';
import { eased, EASINGS, type EasingSpec } from './easing-registry';
import { growthOf, GROWTHS, type GrowthSpec } from './growth-registry';
import { alikeAfter, roundOf } from './loop-round';
import { growthSeconds, MOTION_DEFAULTS, secondsTo, type MotionSpec } from './motion-spec';
import { playedOf, TIME_DEFAULTS } from './time-spec';

const LINE = tableOf(compiled(pathOf('straight', [[0, 0, 0], [10, 0, 0]])), 'upright'); // prettier-ignore
const RING = tableOf(ellipse(2, 2), 'upright', { tolerance: 1e-7 });
const plank = prepared(makeSegmentMesh({ kind: 'plank', length: 0.5, width: 0.3, thickness: 0.1 }));
const jobWith = (motion: Partial<MotionSpec>) => jobOf({ laying: { kind: 'fillStretch' }, motion });
const at = (motion: Partial<MotionSpec>, time: number, table = LINE, segment = plank) =>
  bentRun(segment, table, jobWith(motion), { time });
/** From where to where a mesh reaches along x. */
const spanOf = (positions: Float32Array): readonly [number, number] => {
  const xs = positions.filter((_, i) => i % 3 === 0);
  return [xs.reduce((a, b) => Math.min(a, b), Infinity), xs.reduce((a, b) => Math.max(a, b), -Infinity)];
};
const FROM = ['start', 'end', 'middle', 'station'] as const;

describe.each(GROWTHS.map((kind) => [kind.kind, kind] as const))('the growth %s', (_, kind) => {
  const motion = { growth: kind.defaults };

  it('has defaults that are valid, and takes no time or some', () => {
    expect(kind.schema.safeParse(kind.defaults).success).toBe(true);
    expect(kind.seconds(kind.defaults)).toBeGreaterThanOrEqual(0);
    for (const { key, input } of kind.fields) if (input !== 'switch') expect(kind.defaults).toHaveProperty(key);
    expect(kind.words).toMatch(/^[a-z]/);
  });

  it('shows what a first jump brings at the very moment of it, and nothing before (CSS Easing Level 1, 2.3)', () => {
    for (const [jump, share] of [
      ['start', 1 / 4],
      ['both', 1 / 5],
      ['end', 0],
      ['none', 0],
    ] as const) {
      // prettier-ignore
      const jumping = { ...motion, easing: { kind: 'steps', count: 4, jump } as const };
      const [first, same, before] = [at(jumping, 0), at(jumping, 1e-6), at(jumping, -1e-6)];
      expect(first.mesh.positions).toEqual(same.mesh.positions);
      if (kind.seconds(kind.defaults) > 0) expect(before.mesh.positions.length).toBe(0);
      if (kind.kind === 'stretchOut') expect(volume(first.mesh) / volume(at({}, 0).mesh)).toBeCloseTo(share, 5);
    }
  });

  it('changes nothing where no time is asked for or all has grown, and gives numbers at every time from everywhere', () => {
    const still = bentRun(plank, LINE, jobWith({}));
    expect(bentRun(plank, LINE, jobWith(motion)).layout).toEqual(still.layout);
    expect(at(motion, 4).mesh.positions).toEqual(still.mesh.positions);
    for (const from of FROM)
      for (const speed of [0, 0.7])
        for (const time of [0, 1e-9, 0.7, 3.99, 4, 1e6]) {
          const { mesh } = at({ ...motion, from, station: 3.3, speed }, time);
          expect(mesh.positions.every(Number.isFinite) && mesh.normals.every(Number.isFinite)).toBe(true);
        }
  });

  it('goes over a ring as over a line: what is there is some of it', () => {
    for (const time of [0.4, 1.9, 3.7]) {
      const { mesh } = at(motion, time, RING);
      expect(mesh.positions.every(Number.isFinite)).toBe(true);
      expect(volume(mesh)).toBeLessThan(0.03 * 4 * Math.PI * 1.01);
    }
  });
});

describe('one by one', () => {
  const growth = (turn: 'number' | 'station'): Extract<GrowthSpec, { kind: 'oneByOne' }> => ({ kind: 'oneByOne', seconds: 5, each: 0.6, turn, come: 'fromAbove', height: 1 }); // prettier-ignore
  const staggerOf = (options: GrowthSpec) => growthOf(options).stagger!(options, { count: 23, length: 11 });

  it('says how far apart pieces begin, in seconds or along the path, and takes it', () => {
    expect(staggerOf(growth('number'))).toMatchObject({ unit: 's', value: 4.4 / 22 });
    expect(staggerOf(growth('station'))).toMatchObject({ unit: 'm/s', value: 11 / 4.4 });
    for (const turn of ['number', 'station'] as const) {
      const other = staggerOf(growth(turn)).with(0.5);
      expect(staggerOf(other).value).toBeCloseTo(0.5, 9);
      // Held against when pieces are first there: half a second, or a metre in two, from one to the next.
      const firstAt = (n: number) => {
        for (let time = 0; ; time += 0.01) if (at({ growth: other }, time).plan.pieces.some(({ laid }) => laid.placement.piece === n)) return time; // prettier-ignore
      };
      const laid = growthOf(other).stagger!(other, { count: 20, length: 10 });
      const apart = laid.unit === 's' ? laid.value : 0.5 / laid.value;
      if (turn === 'number') expect(firstAt(6) - firstAt(5)).toBeCloseTo(apart, 1);
      expect(growthSeconds({ ...MOTION_DEFAULTS, growth: other })).toBeCloseTo(turn === 'number' ? 11.6 : 22.6, 9);
    }
  });
});

describe('stretch out', () => {
  // At half the time: three eighths of each handle and an eighth of the end, 1.19 of the way (CSS Easing Functions Level 1, 2.2).
  const easing: EasingSpec = { kind: 'curve', x1: 0.5, y1: 1.5, x2: 0.5, y2: 1.34 };
  const halfway = (beyond: boolean, table = LINE) =>
    spanOf(at({ growth: { kind: 'stretchOut', seconds: 4, beyond }, easing }, 2, table).mesh.positions);

  it('ends at the end of its reach where its pace goes beyond that, unless it may go past it', () => {
    expect(halfway(false)[1]).toBeCloseTo(10, 5);
    expect(halfway(true)[1]).toBeCloseTo(11.9, 2);
    expect(halfway(true)[0]).toBeCloseTo(0, 5);
  });
});

describe('uncover', () => {
  const growth = (tip = 0): GrowthSpec => ({ kind: 'uncover', seconds: 4, tip });
  const whole = (volume(plank.mesh) / 0.5) * 10;

  it.each(FROM)('is as long as its share of the reach and as large, at every time, closed, %s', async (from) => {
    for (const share of [0.1, 0.25, 0.333, 0.5, 0.77, 0.999]) {
      const { mesh } = at({ growth: growth(), from, station: 2.3 }, 4 * share);
      const [a, b] = spanOf(mesh.positions);
      expect(b - a).toBeCloseTo(10 * share, 5);
      const origin = { start: 0, end: 10, middle: 5, station: 2.3 }[from];
      expect(a).toBeCloseTo(origin * (1 - share), 5);
      expect(volume(mesh) / (whole * share)).toBeCloseTo(1, 5);
    }
    expect((await manifoldOf(at({ growth: growth(), from }, 1.3).mesh)).volume()).toBeGreaterThan(0);
  });

  it('has a cut of its own where it stands, however many pieces lie there: none of them is pressed', () => {
    const { plan } = at({ growth: growth() }, 4 * 0.33);
    for (const { place } of plan.pieces) expect(place.factor).toBeCloseTo(1, 9);
    expect(plan.pieces).toHaveLength(7);
    expect(isClosed(plan.pieces[6].form.mesh) || plan.pieces[6].form.mesh.indices.length > 0).toBe(true);
  });

  it('lets the tip go along and keep its taper', () => {
    const keys = [8, 10].map((station, i) => ({ station, value: i === 0 ? 1 : 0.2 }));
    const lane = { blend: 'straight', keys } as const;
    const job = jobOf({
      laying: { kind: 'fillStretch' },
      bending: { lanes: { gaugeUp: lane, gaugeSide: lane }, tolerance: 1e-4 },
      motion: { growth: growth(2) },
    });
    const finished = bentRun(plank, LINE, job).mesh;
    const half = bentRun(plank, LINE, job, { time: 2 }).mesh;
    const widthAt = ({ positions }: typeof half, x: number) => {
      let most = 0;
      for (let i = 0; i < positions.length; i += 3)
        if (Math.abs(positions[i] - x) < 1e-4) most = Math.max(most, Math.abs(positions[i + 2]));
      return most;
    };
    expect(spanOf(half.positions)[1]).toBeCloseTo(5, 5);
    for (const back of [0, 0.5, 1, 1.5]) expect(widthAt(half, 5 - back)).toBeCloseTo(widthAt(finished, 10 - back), 5);
    expect(widthAt(half, 5)).toBeCloseTo(0.03, 5);
    expect(widthAt(half, 1)).toBeCloseTo(0.15, 5);
  });
});

describe('one by one', () => {
  const growth = (more: object = {}): GrowthSpec => ({
    kind: 'oneByOne',
    seconds: 4,
    each: 1,
    turn: 'number',
    come: 'fromAbove',
    height: 2,
    ...more,
  });

  it('drops pieces in turn: the first is down after its second, the last at the end', () => {
    const bottoms = (time: number) =>
      unwrap(planRun({ segment: plank, table: LINE, job: jobWith({ growth: growth() }), time })).pieces.map(
        ({ shape }) => shape.lanes.reduce((sum, { name, at: of }) => (name === 'offsetUp' ? sum + of(0)[0] : sum), 0),
      );
    expect(bottoms(1)[0]).toBeCloseTo(0, 9);
    expect(bottoms(0.5)[0]).toBeCloseTo(1, 9);
    expect(bottoms(3.9)).toHaveLength(20);
    expect(bottoms(3.9).at(-1)!).toBeCloseTo(0.2, 9);
    // Each begins (4 - 1) / 19 s after the one before.
    expect(bottoms(1.5).length).toBe(Math.floor((1.5 * 19) / 3) + 1);
  });

  it('grows pieces out of nothing about their middles, and slides others along from the origin', () => {
    const nothing = at({ growth: growth({ come: 'fromNothing' }) }, 0.5).mesh;
    const [a] = spanOf(nothing.positions);
    expect(a).toBeCloseTo(0.125, 5);
    const along = at({ growth: growth({ come: 'alongThePath' }), from: 'end' }, 0.5).mesh;
    expect(spanOf(along.positions)[1]).toBeCloseTo(10, 5); // all come from the end, none beyond it
  });

  it('closes every piece while others are to come', () => {
    const { plan } = at({ growth: growth({ come: 'atOnce' }) }, 2.2);
    expect(plan.pieces.every(({ form }) => isClosed(form.mesh))).toBe(true);
    expect(plan.pieces).toHaveLength(11);
  });
});

describe('travel', () => {
  const startsAt = (table: typeof LINE, speed: number, time: number) =>
    unwrap(planRun({ segment: plank, table, job: jobWith({ speed }), time })).pieces.map(({ place }) => place.station);

  it('goes at its speed: a piece of a closed path is as much further as speed times time', () => {
    const before = startsAt(RING, 0.3, 0);
    startsAt(RING, 0.3, 2.5).forEach((s, i) => expect(s).toBeCloseTo(before[i] + 0.75, 12));
    startsAt(RING, -0.3, 2.5).forEach((s, i) => expect(s).toBeCloseTo(before[i] - 0.75, 12));
  });

  it('has one speed on the mesh of every frame, to a millionth', () => {
    const ring = tableOf(ellipse(2, 2), 'leastTwist', { tolerance: 1e-9 });
    const places = Array.from({ length: 9 }, (_, second) => at({ speed: 0.9 }, second, ring).mesh.positions);
    const chords = places.slice(1).map((p, i) => Math.hypot(...[0, 1, 2].map((c) => p[c] - places[i][c])));
    // A chord of the circle on which the vertex lies: 2 r sin(angle / 2).
    const radius = Math.hypot(places[0][0], places[0][1]);
    for (const chord of chords) expect(Math.abs(chord / (2 * radius * Math.sin(0.45 / 2)) - 1)).toBeLessThan(1e-6);
  });

  it('once round a closed path is where it was', () => {
    const [a, b] = [0, RING.length / 0.3].map((time) => at({ speed: 0.3 }, time, RING).mesh);
    a.positions.forEach((v, i) => expect(Math.abs(v - b.positions[i])).toBeLessThan(2e-6));
  });

  it('loops over whole pieces: the frame after the last one is the first', () => {
    const { laid } = laidRun({ segment: plank, table: RING, job: jobWith({}) });
    const { layout } = unwrap(laid);
    const alike = {
      pattern: { kind: 'same' },
      everyOther: { every: 0, turn: 0, mirrored: false },
      pieces: [],
    } as const;
    const round = roundOf(layout, RING.length, alike)!;
    const pitch = RING.length / layout.placements.length;
    round.alike.forEach((way, i) => expect(way).toBeCloseTo(i * pitch, 9));
    const way = alikeAfter(0.8 * 4, round);
    expect(way / pitch).toBeCloseTo(Math.round((0.8 * 4) / pitch), 9);
    const places = (time: number) =>
      startsAt(RING, way / 4, time).map((s) => (s % RING.length).toFixed(6)).sort(); // prettier-ignore
    expect(places(4)).toEqual(places(0));
    const fifths = roundOf(layout, RING.length, { ...alike, everyOther: { every: 5, turn: 1, mirrored: false } })!;
    expect(fifths.alike).toHaveLength(layout.placements.length / 5);
    expect(roundOf({ ...layout, round: false }, 10, alike)).toBeUndefined();
    // Never none, the same way round, over rounds.
    expect(alikeAfter(-0.001, round)).toBeCloseTo(-pitch, 9);
    expect(alikeAfter(0.001, round)).toBeCloseTo(pitch, 9);
    expect(alikeAfter(2 * RING.length + 0.1 * pitch, round)).toBeCloseTo(2 * RING.length, 9);
    expect(alikeAfter(-0.4 * RING.length, { length: RING.length, alike: [0] })).toBeCloseTo(-RING.length, 9);
  });

  it('comes in at the start of an open path as it goes out at the end: the reach stays covered', () => {
    for (const time of [0, 0.11, 0.5, 0.77, 1.3, 3.9]) {
      for (const speed of [0.4, -0.7]) {
        const { pieces } = unwrap(planRun({ segment: plank, table: LINE, job: jobWith({ speed }), time }));
        const spans = pieces
          .map(({ place }) => [place.station, place.station + place.factor * place.natural] as const)
          .toSorted((x, y) => x[0] - y[0]);
        expect(spans[0][0]).toBeCloseTo(0, 9);
        expect(spans.at(-1)![1]).toBeCloseTo(10, 9);
        spans.slice(1).forEach(([from], i) => expect(from).toBeCloseTo(spans[i][1], 9));
      }
    }
  });

  it('bends what comes along as finely as the bend there asks for', () => {
    const tube = prepared(makeSegmentMesh({ kind: 'tube', length: 1, radius: 0.1, sides: 24 }));
    const path = pathOf('straight', [[0, 0, 0], [6, 0, 0], [6, 0, 6]], false, 1); // prettier-ignore
    const table = tableOf(compiled(path), 'upright', { tolerance: 1e-6 });
    const moving = jobOf({ laying: { kind: 'fillStretch' }, bending: { tolerance: 0.001 }, motion: { speed: 1 } });
    const section = 12 * 0.01 * Math.sin((2 * Math.PI) / 24);
    // Pappus: a section whose middle is on the path sweeps its area times the length; at the reach's ends there are walls.
    for (const time of [0, 1.37, 2.9]) {
      const { mesh } = bentRun(tube, table, moving, { time });
      expect(volume(mesh) / (section * table.length)).toBeCloseTo(1, 2);
    }
  });

  it('wears the same forms all the time', () => {
    const { laid } = laidRun({ segment: plank, table: RING, job: jobWith({ speed: 1 }) });
    const forms = new Set(unwrap(laid).pieces.map(({ form }) => form));
    for (const time of [0.3, 1.9, 77])
      for (const { form } of unwrap(planRun({ segment: plank, table: RING, job: jobWith({ speed: 1 }), time })).pieces)
        expect(form.mesh.indices.length).toBe([...forms][0].mesh.indices.length);
  });
});

describe.each(EASINGS.map((kind) => [kind.kind, kind] as const))('the easing %s', (_, kind) => {
  it('has defaults that are valid, ends where it is to, and gives numbers', () => {
    expect(kind.schema.safeParse(kind.defaults).success).toBe(true);
    for (const { key } of kind.fields) expect(kind.defaults).toHaveProperty(key);
    expect(kind.at(kind.defaults, 1)).toBe(1);
    for (const share of [0, 1e-9, 0.3, 0.999999]) expect(Number.isFinite(kind.at(kind.defaults, share))).toBe(true);
  });
});

describe('eased', () => {
  // References m01 to m13: W3C CSS Easing Functions Level 1, 2.2 and 2.3.
  it.each<readonly [EasingSpec, readonly number[]]>([
    [
      { kind: 'curve', x1: 0.25, y1: 0.1, x2: 0.25, y2: 1 },
      [0.4085105913553959, 0.802403387584857, 0.9604589783489741],
    ],
    [{ kind: 'easeIn' }, [0.09346465071882486, 0.3153568125725393, 0.6218618691748902]],
    [{ kind: 'easeOut' }, [0.3781381308251098, 0.6846431874274607, 0.9065353492811751]],
  ])('has the values of the recommendation at a quarter, half and three quarters: %j', (easing, values) => {
    [0.25, 0.5, 0.75].forEach((share, i) => expect(eased(easing, share)).toBeCloseTo(values[i], 12));
  });

  it('is steady at one pace, and slow at both ends alike', () => {
    expect(eased({ kind: 'steady' }, 0.37)).toBe(0.37);
    for (const share of [0.1, 0.3, 0.5])
      expect(eased({ kind: 'easeBoth' }, share) + eased({ kind: 'easeBoth' }, 1 - share)).toBeCloseTo(1, 12);
  });

  it.each([
    ['end', [0, 0, 1 / 4, 1 / 4, 1 / 2, 3 / 4, 3 / 4, 1]],
    ['start', [1 / 4, 1 / 4, 1 / 2, 1 / 2, 3 / 4, 1, 1, 1]],
    ['none', [0, 0, 1 / 3, 1 / 3, 2 / 3, 1, 1, 1]],
    ['both', [1 / 5, 1 / 5, 2 / 5, 2 / 5, 3 / 5, 4 / 5, 4 / 5, 1]],
  ] as const)('jumps in four steps at the %s', (jump, values) => {
    [0, 0.1, 0.25, 0.3, 0.5, 0.75, 0.99, 1].forEach((share, i) =>
      expect(eased({ kind: 'steps', count: 4, jump }, share)).toBeCloseTo(values[i], 14),
    );
  });
});

describe('secondsTo', () => {
  const reach = { from: 0, to: 10 };
  const motion = (change: Partial<MotionSpec>): MotionSpec => ({ ...MOTION_DEFAULTS, growth: { kind: 'stretchOut', seconds: 4 }, ...change }); // prettier-ignore

  it('is when the front is there, from wherever it comes and at whatever pace', () => {
    expect(secondsTo(motion({}), 2.5, reach)).toBeCloseTo(1, 9);
    expect(secondsTo(motion({ from: 'end' }), 2.5, reach)).toBeCloseTo(3, 9);
    expect(secondsTo(motion({ from: 'middle' }), 2.5, reach)).toBeCloseTo(2, 9);
    const easing = { kind: 'easeIn' } as const;
    expect(eased(easing, secondsTo(motion({ easing }), 2.5, reach) / 4)).toBeCloseTo(0.25, 9);
    expect(secondsTo(motion({ easing: { kind: 'hold' } }), 2.5, reach)).toBeCloseTo(4, 9);
    expect(secondsTo(motion({ growth: { kind: 'none' } }), 2.5, reach)).toBe(0);
    expect([-3, 99].map((station) => secondsTo(motion({}), station, reach))).toEqual([0, 4]);
  });

  it('of pieces that arrive is when the one there has come', () => {
    const growth = { kind: 'oneByOne', seconds: 4, each: 1, turn: 'station', come: 'fromAbove', height: 1 } as const;
    expect(secondsTo(motion({ growth }), 0, reach)).toBeCloseTo(1, 9);
    expect(secondsTo(motion({ growth }), 10, reach)).toBeCloseTo(4, 9);
    expect(growthSeconds(motion({ growth }))).toBe(4);
  });
});

describe('the clock', () => {
  const time = { ...TIME_DEFAULTS, seconds: 4, framesPerSecond: 10 };

  it('goes on, ends, or begins again, over what is played', () => {
    expect(momentAfter(1, 0.5, time)).toBe(1.5);
    expect(momentAfter(3.9, 0.5, time)).toBeUndefined();
    const part = { ...time, loops: true, played: { from: 1, to: 3 } };
    expect(momentAfter(2.75, 0.5, part)).toBeCloseTo(1.25, 12);
    expect(momentAfter(0, 0.5, part)).toBe(1.5);
    expect(momentAfter(2.75, 4.5, part)).toBeCloseTo(1.25, 12); // a long wait goes round twice
    expect(playedOf({ ...time, played: { from: 9, to: 12 } })).toEqual({ from: 0, to: 4 });
  });

  it('steps from frame to frame and stays within the time', () => {
    expect(frameBeside(1.23, 1, time)).toBeCloseTo(1.3, 12);
    expect(frameBeside(1.23, -1, time)).toBeCloseTo(1.1, 12);
    expect([frameBeside(0, -1, time), frameBeside(4, 1, time)]).toEqual([0, 4]);
  });
});
