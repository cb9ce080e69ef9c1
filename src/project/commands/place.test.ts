import { PLACE_DEFAULTS } from '../place-spec';
import { emptyProject, projectSchema } from '../schema';
import { changeCamera, deleteCamera, placeOf, saveCamera, setPlace } from './place';

const EMPTY = emptyProject('Empty');
const camera = (id: string) => ({ id, name: `From ${id}`, position: [1, 2, 3], target: [0, 0, 0] }) as const;

describe('the place of a project', () => {
  it('is plain until something is said of it, and keeps the rest as it was', () => {
    expect(placeOf(EMPTY)).toEqual(PLACE_DEFAULTS);
    const wet = setPlace(EMPTY, { water: 0.4 });
    expect(placeOf(wet)).toEqual({ ...PLACE_DEFAULTS, water: 0.4 });
    expect(placeOf(setPlace(wet, { mist: 300 }))).toMatchObject({ water: 0.4, mist: 300 });
    expect(EMPTY.place).toBeUndefined();
    expect(projectSchema.safeParse(wet).success).toBe(true);
  });

  it('does not take a sun below the ground or a mist without a depth', () => {
    for (const change of [{ sun: { bearing: 0, height: -0.5 } }, { mist: 0 }, { water: Infinity }])
      expect(projectSchema.safeParse(setPlace(EMPTY, change)).success).toBe(false);
  });
});

describe('cameras', () => {
  const two = ['a', 'b'].reduce((project, id) => saveCamera(project, camera(id)), EMPTY);
  it('are kept in their order, renamed and taken away', () => {
    expect(two.cameras?.map(({ id }) => id)).toEqual(['a', 'b']);
    const renamed = changeCamera(two, 'b', { name: 'From the quay' });
    expect(renamed.cameras?.map(({ name }) => name)).toEqual(['From a', 'From the quay']);
    expect(deleteCamera(renamed, 'a').cameras).toEqual([{ ...camera('b'), name: 'From the quay' }]);
    expect(deleteCamera(two, 'none').cameras).toEqual(two.cameras);
    expect(changeCamera(EMPTY, 'a', { name: 'X' }).cameras).toEqual([]);
  });

  it('have a name', () => {
    expect(projectSchema.safeParse(two).success).toBe(true);
    expect(projectSchema.safeParse(changeCamera(two, 'a', { name: '  ' })).success).toBe(false);
  });
});
