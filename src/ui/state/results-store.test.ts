import type { FacetUpdate, Versions } from '../../engine/facets';
import { courseView, withChanges, type RunResult } from './results-store';

const versions = (courses: readonly string[], own = '1'): Versions => {
  const of = { layout: own, segment: own, surface: own, topology: own, repeated: own, geometry: own };
  return { path: own, findings: own, wheels: own, courses: Object.fromEntries(courses.map((id) => [id, of])) };
};
/** What would be a facet, by what it is of. */
const facets = (of: string) =>
  Object.fromEntries(
    ['layout', 'segment', 'surface', 'topology', 'repeated', 'geometry'].map((k) => [k, `${of} ${k}`]),
  );
const update = (ids: readonly string[], changed: object): FacetUpdate =>
  ({ versions: versions(ids), changed }) as FacetUpdate;

describe('withChanges', () => {
  const first = withChanges(
    undefined,
    update(['road', 'posts'], {
      ...{ path: 'path', findings: 'findings', wheels: 'wheels' },
      courses: { road: facets('road'), posts: facets('posts') },
    }),
  );

  it('has all facets of what is new, its courses in their order', () => {
    expect(first.courses.map(({ id }) => id)).toEqual(['road', 'posts']);
    expect(first).toMatchObject({ path: 'path', findings: 'findings' });
    expect(first.courses[1]).toMatchObject({ geometry: 'posts geometry' });
  });

  it('keeps what has not changed, the very same objects', () => {
    const next = withChanges(first, update(['road', 'posts'], { courses: { road: { geometry: 'moved' }, posts: {} } }));
    expect(next.courses[0]).toMatchObject({ geometry: 'moved', layout: 'road layout' });
    expect(next.courses[1]).toBe(first.courses[1]);
    expect(next.path).toBe(first.path);
  });

  it('leaves out courses that are gone and takes on a new order', () => {
    const next = withChanges(first, update(['posts', 'road'], { courses: { posts: {}, road: {} } }));
    expect(next.courses.map(({ id }) => id)).toEqual(['posts', 'road']);
    expect(withChanges(first, update(['posts'], { courses: { posts: {} } })).courses).toEqual([first.courses[1]]);
  });

  it('is seen as one of its courses, or as the first where there is none of that id', () => {
    const result: RunResult = first;
    expect(courseView(result, 'posts')).toMatchObject({ id: 'posts', path: 'path', geometry: 'posts geometry' });
    expect(courseView(result, 'gone')).toMatchObject({ id: 'road', findings: 'findings' });
    expect(courseView(result).id).toBe('road');
  });
});
