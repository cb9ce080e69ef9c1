import type { Vec3 } from '../../core/math/vec3';
import { partsOf } from '../../core/layout/course-parts';
import { MOTION_DEFAULTS } from '../../core/motion/motion-spec';
import { PROJECT_VERSION, projectSchema } from '../schema';
import { sets } from '.';
import type { RunSet } from './run-set';

describe.each(Object.entries(sets))('the set %s', (name, set: RunSet) => {
  const parts = set.parts((part) => `own-${part}`);

  it('goes by its own name and says what it is', () => {
    expect(set.kind).toBe(name);
    expect(set.label.length).toBeLessThan(40);
    expect(set.hint).toMatch(/^[A-Z].+[^.]$/);
  });

  it('makes a sound project of courses whose segments are all there and all used', () => {
    const curve = parts.curve ?? { kind: 'straight', closed: false, points: ([[0, 0, 0], [8, 3, 0]] as Vec3[]).map((position) => ({ position })) }; // prettier-ignore
    const { courses } = parts;
    const run = { id: 'r', name: set.label, visible: true, path: 'p', reach: { from: null, to: null }, courses };
    const shape = { frames: parts.frames ?? { rule: 'upright', up: [0, 1, 0] }, roll: 0, turns: 0, gauge: 1 };
    const steps = { shape, bending: { pastEnd: 'straightOn', slicing: { by: 'auto' }, tolerance: null }, motion: MOTION_DEFAULTS }; // prettier-ignore
    const document = { format: 'rattan-project', version: PROJECT_VERSION, name: 'Sets', segments: parts.segments, paths: [{ id: 'p', name: 'P', curve }], runs: [{ ...run, ...steps }], guides: [] }; // prettier-ignore
    const read = projectSchema.safeParse(document);
    expect(read.error?.issues ?? []).toEqual([]);
    const used = new Set(courses.flatMap(partsOf));
    expect([...used].sort()).toEqual(parts.segments.map(({ id }) => id).sort());
    expect(new Set(courses.map(({ name: own }) => own)).size).toBe(courses.length);
  });

  it('has no ids that another run of it would have', () => {
    const other = set.parts((part) => `other-${part}`);
    const ids = new Set(parts.segments.map(({ id }) => id));
    for (const { id } of other.segments) expect(ids.has(id)).toBe(false);
  });
});
