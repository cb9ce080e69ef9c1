import { scaleLinear } from 'd3-scale';
import type { Key, KeyValue } from '../../core/motion/keys';
import { setKey } from '../../project/commands/keys';
import { setFinish } from '../../project/commands/segments';
import { FINISH_DEFAULTS } from '../../project/defaults';
import { nodeAt, type Address } from '../../project/keys/address';
import { keysBeside } from '../../project/keys/keys-beside';
import { saltgrassLanding } from '../../project/samples';
import type { Project } from '../../project/schema';
import { drawnParts, laneCurve } from './lane-curve';
import { keyedWords } from './keyed-words';

const landing: Project = { ...saltgrassLanding(), keyed: [] };
const of = (name: string) => landing.runs.find((run) => run.name === name)!;
const key = (at: number, value: KeyValue): Key => ({ at, value, easing: { kind: 'steady' } });

describe('what values with keys are called', () => {
  const cord = of('Lamp cord');
  const causeway = of('Causeway');
  const [course] = causeway.courses;
  const guide = landing.guides[0];
  it.each<[Address, string, string, string]>([
    [['runs', cord.id, 'shape', 'roll'], 'Roll', 'Lamp cord', 'angle'],
    [['runs', cord.id, 'reach', 'to'], 'Reach to', 'Lamp cord', 'length'],
    [['runs', cord.id, 'motion', 'shift'], 'Slid along', 'Lamp cord', 'length'],
    [['runs', causeway.id, 'courses', course.id, 'side'], 'To the right', 'Road', 'length'],
    [['paths', cord.path, 'curve', 'points', '2', 'position'], 'Point 3', 'Lamp cord path', 'length'],
    [['paths', cord.path, 'curve', 'points', '0', 'gauge'], 'Gauge, point 1', 'Lamp cord path', 'plain'],
    [['guides', guide.id, 'position'], 'Place', guide.name, 'length'],
    [['guides', guide.id, 'turn'], 'Turn', guide.name, 'angle'],
    [['guides', guide.id, 'shape', 'sizes', 'radius'], 'Radius', guide.name, 'length'],
    [['segments', cord.courses[0].segment, 'source', 'spec', 'pitch'], 'Pitch', 'Coil', 'length'],
    [['segments', cord.courses[0].segment, 'finishes', 'Wire', 'colour'], 'Colour', 'Coil', 'plain'],
  ])('%j', (address, name, owner, quantity) => {
    expect(keyedWords(landing, address)).toEqual({ name, owner, quantity });
  });

  it('are those of the run, its path and segments, and of all guides', () => {
    const finished = setFinish(landing, cord.courses[0].segment, { ...FINISH_DEFAULTS, part: 'Wire' });
    const own: Address[] = [
      ['runs', cord.id, 'shape', 'roll'],
      ['paths', cord.path, 'curve', 'points', '1', 'position'],
      ['segments', cord.courses[0].segment, 'finishes', 'Wire', 'colour'],
      ['guides', guide.id, 'position'],
    ];
    const others: Address[] = [['runs', causeway.id, 'shape', 'roll']];
    const keyed = [...own, ...others].reduce((made, address) => setKey(made, address, 1), finished);
    for (const address of own) expect(nodeAt(keyed, address)).toBeDefined();
    expect(keysBeside(keyed, cord).map((each) => each.of)).toEqual(own);
  });
});

describe('how a lane of keys is drawn', () => {
  const x = scaleLinear([0, 4], [100, 500]);

  it('has its greatest value at the top and its least at the bottom, between which it runs', () => {
    const { y, shapes, least, most } = laneCurve([key(0, -2), key(2, 6)], x, [100, 500], 60);
    expect([least, most]).toEqual([-2, 6]);
    expect([y(6), y(-2)]).toEqual([9, 51]);
    expect(shapes).toHaveLength(1);
    const [first, ...rest] = [...shapes[0].matchAll(/([\d.]+),([\d.]+)/g)].map(([, a, b]) => [Number(a), Number(b)]);
    expect(first).toEqual([100, 51]);
    for (const [at, height] of rest) expect(height).toBeCloseTo(51 - 42 * Math.min((at - 100) / 200, 1), 1);
  });

  it('lies in the middle where nothing changes, has three curves for a place and none for a colour', () => {
    expect(laneCurve([key(1, 5)], x, [100, 500], 60).y(5)).toBe(30);
    const place = [key(0, [40, 2, -9]), key(4, [40.5, 2, -9.25])];
    const { shapes, least, most } = laneCurve(place, x, [100, 500], 60);
    expect(shapes).toHaveLength(3);
    expect([least, most]).toEqual([-0.25, 0.5]); // from where it is at its first key, however far out that lies
    expect(drawnParts([41, 2, -9], place)).toEqual([1, 0, 0]);
    const colours = laneCurve([key(0, '#000000'), key(4, '#ffffff')], x, [100, 500], 60);
    expect(colours.shapes).toEqual([]);
    expect(colours.samples.at(-1)![1]).toMatch(/^#f/);
  });
});
