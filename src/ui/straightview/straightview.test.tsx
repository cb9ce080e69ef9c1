import { scaleLinear } from 'd3-scale';
import { renderToStaticMarkup } from 'react-dom/server';
import type { Placement } from '../../core/layout/placement';
import { unwrap } from '../../core/testing/runs';
import { loadFrom } from '../../engine/bake';
import { Deriver } from '../../engine/derive';
import { facetsOf, FacetVersions, type CourseFacets } from '../../engine/facets';
import { sourceOf } from '../../engine/run-source';
import { setLane } from '../../project/commands/lanes';
import { setRule } from '../../project/commands/runs';
import { causeway } from '../../project/samples';
import { beyond } from './beyond';
import { LANE_KINDS } from './lane-kinds';
import { domainOf, laidKeys, looksAt, ownValue } from './lane-values';
import { seenOf } from './seen-of';
import { StretchLane } from './StretchLane';
import { movedValue } from './use-lane-drag';

const REACH = { from: 10, to: 30 };
const across = (from: number, to: number) => scaleLinear([from, to], [100, 500]);
const shaped = setLane(causeway(), 'causeway', 'gauge', {
  blend: 'straight',
  along: 'reach',
  keys: [{ station: 0, value: 1 }, { station: 0.5, value: 2 }, { station: 1, value: 1 }], // prettier-ignore
});
const [run] = shaped.runs;

describe('a lane', () => {
  it('lays keys that are shares of the reach at its stations', () => {
    expect(laidKeys(run, 'gauge', REACH).map(({ station }) => station)).toEqual([10, 20, 30]);
    expect(laidKeys(run, 'roll', REACH)).toEqual([]);
  });

  it('tells what its own keys come to between them, and what stands where it has none', () => {
    expect(ownValue(run, 'gauge', REACH, 15)).toBeCloseTo(1.5, 12);
    expect([ownValue(run, 'gaugeUp', REACH, 15), ownValue(run, 'roll', REACH, 15)]).toEqual([
      expect.closeTo(1.5, 12),
      0,
    ]);
  });

  it('is looked at where it is seen of the reach, its two ends and at most 2 pixels apart', () => {
    const x = across(0, 40);
    const looks = looksAt(x, REACH);
    expect([looks[0], looks.at(-1)]).toEqual([expect.closeTo(10, 9), expect.closeTo(30, 9)]);
    for (let i = 1; i < looks.length; i++) expect(x(looks[i]) - x(looks[i - 1])).toBeLessThanOrEqual(2 + 1e-9);
    const near = looksAt(across(12, 14), REACH);
    expect([near[0], near.at(-1)]).toEqual([expect.closeTo(12, 9), expect.closeTo(14, 9)]);
    expect(looksAt(across(35, 40), REACH)).toEqual([]);
  });

  it('has room for all of its values, what it is without keys among them; a thickness is seen from nothing on', () => {
    const [least, most] = domainOf('roll', [0.2, 0.8]);
    expect(least).toBeLessThan(0);
    expect(most).toBeGreaterThan(0.8);
    expect(domainOf('gauge', [3])).toEqual([0, expect.closeTo(3.45, 9)]);
    for (const pick of ['roll', 'gauge', 'offsetUp', 'textureShift'] as const) {
      const [low, high] = domainOf(pick, []);
      expect(high - low).toBeGreaterThan(0);
      expect(LANE_KINDS[pick].neutral).toBeGreaterThanOrEqual(low);
    }
  });
});

describe('a key that is pulled', () => {
  it('stays where it is for the first pixels, and does not jump then', () => {
    expect([-4, 0, 4].map(beyond)).toEqual([-0, 0, 0]);
    expect([beyond(5), beyond(-14)]).toEqual([1, -10]);
  });

  it('takes the share of a thickness that is its own, and the part of a sum', () => {
    // A gauge key of 2 that comes to 3 with others is to come to 1.5: half of what it was.
    expect(movedValue('gauge', 2, 3, 1.5)).toBeCloseTo(1, 9);
    expect(movedValue('roll', 0.2, 0.5, 0.9)).toBeCloseTo(0.6, 9);
    expect(movedValue('gauge', 1, 1, -5)).toBe(LANE_KINDS.gauge.min);
  });
});

const rows = (count: number, length = 1): Placement[] =>
  Array.from({ length: count }, (_, piece) => ({ piece, station: piece * length, length }) as Placement);

describe('the pieces that are seen', () => {
  it('are those of which something lies between the two ends of the scale', () => {
    expect(seenOf(rows(100), across(10.5, 13)).map(({ piece }) => piece)).toEqual([10, 11, 12]);
    expect(seenOf(rows(100), across(0, 100))).toHaveLength(100);
  });

  it('are never none where there are any: beside a gap the next one, behind all of them the last', () => {
    expect(seenOf(rows(3), across(50, 60)).map(({ piece }) => piece)).toEqual([2]);
    const apart = [{ piece: 0, station: 0, length: 1 }, { piece: 1, station: 9, length: 1 }] as Placement[]; // prettier-ignore
    expect(seenOf(apart, across(3, 5)).map(({ piece }) => piece)).toEqual([1]);
    expect(seenOf([], across(0, 1))).toEqual([]);
  });
});

describe('the stretch of pieces', () => {
  const deriver = new Deriver(loadFrom(new Map()));
  const layoutOf = async (count: number): Promise<CourseFacets['layout']> => {
    const project = setRule(causeway(), { run: 'causeway' }, { kind: 'byCount', count, over: 'stretch', gap: 0 });
    const derived = unwrap(await deriver.derive(unwrap(sourceOf(project, project.runs[0]))));
    return facetsOf(derived, null, {}, new FacetVersions('t'), deriver).changed.courses.main.layout!;
  };
  const drawn = async (count: number, to: number) =>
    renderToStaticMarkup(<StretchLane x={across(0, to)} layout={await layoutOf(count)} height={40} />);

  it('are a bar each while they are few, with their number and how far they are off the mean', async () => {
    const text = await drawn(20, 130);
    expect(text.match(/<title>/g)).toHaveLength(20);
    expect(text).toMatch(/Piece 20 at .* on the path, .* at its sides; .* off the mean/);
  });

  it('are one shape where there are too many to see, and bars again nearby', async () => {
    const text = await drawn(2000, 130);
    expect(text).not.toContain('<title>');
    expect(text.match(/<path/g)).toHaveLength(2);
    expect((await drawn(2000, 3)).match(/<title>/g)!.length).toBeGreaterThan(20);
  });
});
