import { strewn } from '../../core/layout/fits/strewn';
import type { FitSpec } from '../../core/layout/fit-registry';
import { saltgrassLanding } from '../../project/samples';
import { coursesShown } from '../ticket/courses-shown';
import { fitsFor } from './fits-for';
import { partNames, partsShown } from './part-names';

const landing = saltgrassLanding();
const causeway = landing.runs.find(({ name }) => name === 'Causeway')!;
const wires = landing.runs.find(({ name }) => name === 'Signal wires')!;
const names = (selected?: string) => coursesShown(causeway, selected).map(({ id }) => id);

describe('coursesShown', () => {
  it('are what a run is laid of, and of what dresses it only that which is selected', () => {
    expect(names()).toEqual(['road', 'drain', 'line', 'posts']);
    expect(names('lamps')).toEqual(['road', 'drain', 'line', 'posts', 'lamps']);
    expect(names('road')).toEqual(names());
  });
});

describe('fitsFor', () => {
  const kinds = (run: typeof causeway, id: string) => fitsFor(run, run.courses.find((course) => course.id === id)!).map(({ kind }) => kind); // prettier-ignore
  it('offers to strew only where there is something else to lie on', () => {
    expect(kinds(causeway, 'posts')).toContain('strewn');
    expect(kinds(wires, wires.courses[0].id)).not.toContain('strewn');
    const alone = { ...wires, courses: [...wires.courses, { ...wires.courses[0], id: 'b', fit: strewn.defaults as FitSpec }] }; // prettier-ignore
    expect(kinds(alone, wires.courses[0].id)).not.toContain('strewn');
    expect(kinds(alone, 'b')).toContain('strewn');
  });
});

describe('parts of what a course lays', () => {
  const part = (name: string, isCoat = false) => ({ name, material: 0, start: 0, count: 3, ...(isCoat && { isCoat }) });
  const topology = (...parts: ReturnType<typeof part>[]) => ({ uvs: new Float32Array(), indices: new Uint32Array(), parts }); // prettier-ignore
  it('are told once each, of bent and of repeated meshes, without coats', () => {
    const course = { topology: topology(part('Bark'), part('Bark, coat', true)), repeated: [topology(part('Rind'), part('Bark'))] as never }; // prettier-ignore
    expect(partsShown(course).map(({ name }) => name)).toEqual(['Bark', 'Rind', 'Bark']);
    expect(partNames(course)).toEqual(['Bark', 'Rind']);
  });
});
