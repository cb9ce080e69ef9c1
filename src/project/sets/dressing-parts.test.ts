import { MAKERS, makeSegmentMesh, type MakerSpec } from '../../core/segment/registry';
import { boxOf } from '../../core/mesh/box';
import { addCourse } from '../commands/courses';
import { dressingOf, setCoat } from '../commands/dressing';
import { causeway } from '../samples';
import { assetIdsOf, projectSchema } from '../schema';
import { FINISH_DEFAULTS, PLAIN_FINISH } from '../defaults';
import { dressingCourse, madeDressing, type Ground } from './dressing-parts';

const ROAD: Ground = { box: { min: [0, -0.9, -4.2], max: [4, 0.05, 4.2] }, length: 128 };
const HOSE: Ground = { box: { min: [0, -0.06, -0.06], max: [1, 0.06, 0.06] }, length: 4 };
const IDS = { segment: 'thing', course: 'things' };

describe.each(MAKERS.filter(({ dresses }) => dresses).map(({ kind }) => kind))('a %s', (kind) => {
  it('dresses a run in a project that can be saved, and is told of as that', () => {
    const { segment, course } = madeDressing(kind, IDS, ROAD);
    const project = addCourse(causeway(), 'causeway', course, [segment]);
    expect(projectSchema.safeParse(project).error).toBeUndefined();
    expect(dressingOf(project.runs[0]).map(({ id }) => id)).toEqual(['things']);
    expect(dressingOf(project.runs[1])).toEqual([]);
  });

  it('stands on the ground: its foot is at y = 0, it reaches up from there, and its middle lies on the path', () => {
    const { segment } = madeDressing(kind, IDS, undefined);
    if (segment.source.from !== 'maker') throw new Error('made');
    const { min, max } = boxOf(makeSegmentMesh(segment.source.spec).positions);
    const sits = MAKERS.find((own) => own.kind === kind)!.dresses!.sits;
    if (sits === 'above') expect(max[1]).toBeGreaterThan(-min[1] * 0.9);
    if (sits === 'under') expect(max[1]).toBeCloseTo(0, 9);
    if (sits === 'round') expect((min[2] + max[2]) / 2).toBeCloseTo(0, 6);
    if (kind === 'lamp' || kind === 'bollard' || kind === 'cleat') expect(min[1]).toBeCloseTo(0, 9);
  });
});

describe('dressings', () => {
  it('stand beside the middle of what is wide, and in the middle of what is round', () => {
    expect(madeDressing('lamp', IDS, ROAD).course).toMatchObject({ side: 3.36, align: { height: 'surface' } });
    expect(madeDressing('lamp', IDS, HOSE).course.side).toBe(0);
    expect(madeDressing('bracket', IDS, ROAD).course).toMatchObject({ side: 0, align: { height: 'under' } });
  });

  it('are fitted to what they go round', () => {
    const { source } = madeDressing('clip', IDS, HOSE).segment;
    expect((source as { spec: MakerSpec & { radius: number } }).spec.radius).toBeCloseTo(Math.hypot(0.06, 0.06), 9);
  });

  it('do not bury a long run: some thousands of them lie on it at first, as many as they are on a short one', () => {
    const densityOn = (ground: Ground) => {
      const { fit } = madeDressing('moss', IDS, ground).course;
      return fit.kind === 'strewn' ? fit.density : 0;
    };
    expect(densityOn(HOSE)).toBe(40);
    expect(densityOn(ROAD) * 128 * 8.4).toBeGreaterThan(2500);
    expect(densityOn(ROAD) * 128 * 8.4).toBeLessThan(3500);
  });

  it('of brought meshes stand two metres apart, on top', () => {
    const course = dressingCourse('own', 'mesh', HOSE);
    expect(course).toMatchObject({ dresses: true, laying: { rule: { kind: 'fillGaps', gap: 2 } }, align: { height: 'surface' } }); // prettier-ignore
  });
});

describe('setCoat', () => {
  const mask = { kind: 'slope', within: 1, fade: 0.5, ragged: 0, grain: 1 } as const;
  const finish = { ...FINISH_DEFAULTS, part: 'Kerbs' };
  it('lays a coat over a part and takes it off, and keeps how the part looks', () => {
    const coat = { mask, finish: PLAIN_FINISH };
    const once = setCoat(causeway(), 'kerbed-road', finish, coat);
    const of = (project: typeof once, part: string) => project.segments[0].finishes.find((own) => own.part === part);
    expect(of(once, 'Kerbs')).toMatchObject({ coat, colour: FINISH_DEFAULTS.colour });
    expect(of(once, 'Carriageway')).toEqual(of(causeway(), 'Carriageway'));
    expect(of(setCoat(once, 'kerbed-road', finish, undefined), 'Kerbs')).toEqual(finish);
    expect(projectSchema.safeParse(once).success).toBe(true);
  });

  it('keeps the images that coats need', () => {
    const [map, pattern] = ['a', 'b'].map((letter) => letter.repeat(64));
    const texture = { from: 'image', asset: pattern, fileName: 'b.png', mime: 'image/png' } as const;
    const coat = {
      mask: { kind: 'map', asset: map, fileName: 'a.png' },
      finish: { ...PLAIN_FINISH, texture },
    } as const;
    expect(new Set(assetIdsOf(setCoat(causeway(), 'kerbed-road', finish, coat)))).toEqual(new Set([map, pattern]));
  });
});
