import { easings } from '../../core/motion/easings';
import { keyedValue, type Key, type KeyValue } from '../../core/motion/keys';
import { changeKey, copyKeys, deleteKeys, keysOf, moveKeys, pasteKeys, setKey } from '../commands/keys';
import { deletePoints, insertPoint, movePoint, setNumber } from '../commands/paths';
import { reverse } from '../commands/path-runs';
import { addAlike, deleteRun, ownPath, setStep } from '../commands/runs';
import { setFinish } from '../commands/segments';
import { FINISH_DEFAULTS } from '../defaults';
import { saltgrassLanding } from '../samples';
import { openProject } from '../project-file';
import { projectSchema, type Project } from '../schema';
import { nodeAt, type Address } from './address';
import { editAt } from './edit-at';
import { leafSchema } from './leaf-schema';
import { projectAt } from './project-at';

const key = (at: number, value: KeyValue, easing: Key['easing'] = { kind: 'steady' }): Key => ({ at, value, easing });
const landing: Project = { ...saltgrassLanding(), keyed: [] };
const { id: run, path } = landing.runs[0];
const ROLL: Address = ['runs', run, 'shape', 'roll'];
const POINT: Address = ['paths', path, 'curve', 'points', '1', 'position'];

const keyed = (of: Address, ...keys: Key[]): Project => ({ ...landing, keyed: [{ of, keys }] });
const sound = (project: Project): Project => projectSchema.parse(project);

describe('keyedValue', () => {
  it('is that of the first key before it and of the last one after it, and steady in between', () => {
    const keys = [key(1, 2), key(3, 6)];
    expect([0, 1, 1.5, 3, 9, Infinity].map((at) => keyedValue(keys, at))).toEqual([2, 2, 3, 6, 6, 6]);
  });

  it.each(Object.values(easings))('goes by the easing of the key before it ($kind)', ({ kind, defaults, at }) => {
    const keys = [key(1, 10, defaults), key(5, 30)];
    for (const share of [0, 0.1, 0.25, 0.6, 0.99])
      expect(keyedValue(keys, 1 + 4 * share)).toBeCloseTo(10 + 20 * at({ ...defaults, kind } as never, share), 9);
  });

  it('blends places by their coordinates and colours as light', () => {
    expect(keyedValue([key(0, [0, 1, 2]), key(1, [4, 1, -2])], 0.25)).toEqual([1, 1, 1]);
    // Half the light of white is #bcbcbc (IEC 61966-2-1: 1.055 * 0.5^(1/2.4) - 0.055 = 0.735).
    expect(keyedValue([key(0, '#000000'), key(1, '#ffffff')], 0.5)).toBe('#bcbcbc');
  });
});

describe('projectAt', () => {
  it('is the very same project where nothing has keys, and shares what does not change', () => {
    expect(projectAt(landing, 1)).toBe(landing);
    const shown = projectAt(keyed(ROLL, key(0, 0), key(2, 1)), 1);
    expect(nodeAt(shown, ROLL)).toBe(0.5);
    expect(shown.paths).toBe(landing.paths);
    expect(shown.runs[1]).toBe(landing.runs[1]);
    expect(sound(shown)).toBeTruthy();
  });

  it('keeps to what the value may be: whole numbers whole, and within bounds where a pace goes beyond', () => {
    const beyond = { kind: 'curve', x1: 0.5, y1: -4, x2: 0.5, y2: 5 } as const;
    const gauge: Address = ['runs', run, 'shape', 'gauge'];
    for (let at = 0; at <= 1; at += 0.05) sound(projectAt(keyed(gauge, key(0, 0.01, beyond), key(1, 1)), at));
    const rope = landing.segments.find(({ source }) => source.from === 'maker' && 'strands' in source.spec)!;
    const strands: Address = ['segments', rope.id, 'source', 'spec', 'strands'];
    expect(nodeAt(projectAt(keyed(strands, key(0, 3), key(1, 4)), 0.6), strands)).toBe(4);
  });

  it.each(['toString', 'constructor', '__proto__', 'hasOwnProperty'])(
    'knows no field %s, which every object has',
    (name) => {
      for (const of of [
        ['runs', run, name],
        ['runs', run, 'shape', name],
      ]) {
        expect(leafSchema(projectSchema, landing, of)).toBeUndefined();
        const opened = openProject(keyed(of, key(0, 1)));
        expect(opened.ok && projectAt(opened.value, 0)).toEqual(opened.ok && opened.value);
      }
    },
  );

  it('leaves alone what is not there, and what can have no keys', () => {
    const gone: Address = ['runs', 'none', 'shape', 'roll'];
    const speed: Address = ['runs', run, 'motion', 'speed'];
    const name: Address = ['runs', run, 'name'];
    for (const wrong of [gone, speed]) expect(projectAt(keyed(wrong, key(0, 3)), 0).runs).toBe(landing.runs);
    expect(setKey(landing, speed, 0)).toBe(landing);
    expect(setKey(landing, name, 0)).toBe(landing);
  });
});

describe('editAt', () => {
  const rolled = keyed(ROLL, key(0, 0), key(2, 1));

  it('makes a key of what falls on a value with keys, and changes all else at all times', () => {
    const done = editAt(rolled, 1, (shown) => setStep(shown, run, 'shape', { roll: 3, gauge: 2 }));
    expect(keysOf(done, ROLL)).toEqual([key(0, 0), key(1, 3), key(2, 1)]);
    expect(nodeAt(done, ROLL)).toBe(nodeAt(landing, ROLL));
    expect([0, 5].map((at) => projectAt(done, at).runs[0].shape.gauge)).toEqual([2, 2]);
  });

  it('makes the last key when all of the time is over', () => {
    const change = (shown: Project) => setStep(shown, run, 'shape', { roll: 3 });
    expect(keysOf(editAt(rolled, null, change), ROLL)).toEqual([...rolled.keyed[0].keys, key(landing.time.seconds, 3)]);
    const late = keyed(ROLL, key(0, 0), key(99, 1));
    expect(keysOf(editAt(late, null, change), ROLL)).toEqual([key(0, 0), key(99, 3)]);
  });

  it('is the very same project where nothing changes, and changes no base by the way', () => {
    expect(editAt(rolled, 1, (shown) => shown)).toBe(rolled);
    const moved = editAt(rolled, 1, (shown) => movePoint(shown, path, 0, [1, 2, 3]));
    expect(keysOf(moved, ROLL)).toBe(rolled.keyed[0].keys);
    expect(nodeAt(moved, ROLL)).toBe(0);
  });

  it('takes keys along with points that are inserted before, deleted, or turned round', () => {
    const at = nodeAt(landing, POINT) as [number, number, number];
    const project = keyed(POINT, key(0, at), key(1, [at[0] + 1, at[1], at[2]]));
    const inserted = editAt(project, 0, (shown) => insertPoint(shown, path, 1).project);
    expect(inserted.keyed[0].of[4]).toBe('2');
    const deleted = editAt(project, 0, (shown) => deletePoints(shown, path, [0]));
    expect(deleted.keyed[0].of[4]).toBe('0');
    expect(editAt(project, 0, (shown) => deletePoints(shown, path, [1])).keyed).toEqual([]);
    const turned = editAt(project, 0, (shown) => reverse(shown, path));
    const { points } = turned.paths.find(({ id }) => id === path)!.curve;
    expect(turned.keyed[0].of[4]).toBe(String(points.length - 2));
    for (const made of [inserted, deleted, turned]) expect(nodeAt(made, made.keyed[0].of)).toEqual(at);
  });

  it('lets keys go with their run, and gives a copy the same ones', () => {
    expect(editAt(rolled, 1, (shown) => deleteRun(shown, run)).keyed).toEqual([]);
    const twice = editAt(rolled, 1, (shown) => addAlike(shown, run, 'copy'));
    expect(keysOf(twice, ['runs', 'copy', 'shape', 'roll'])).toEqual(rolled.keyed[0].keys);
    const at = nodeAt(landing, POINT) as [number, number, number];
    const apart = ownPath(keyed(POINT, key(0, at)), run, 'own');
    expect(keysOf(apart, ['paths', 'own', ...POINT.slice(2)])).toHaveLength(1);
  });

  it('lets a value that is set to nothing have no keys any more', () => {
    const to: Address = ['runs', run, 'reach', 'to'];
    const project = keyed(to, key(0, 1), key(1, 9));
    const done = editAt(project, 0.5, (shown) => setStep(shown, run, 'reach', { to: null }));
    expect(done.keyed).toEqual([]);
    expect(done.runs[0].reach.to).toBeNull();
  });

  it('holds for colours of finishes and numbers of paths', () => {
    const segment = landing.segments[0].id;
    const finish = { ...FINISH_DEFAULTS, part: 'a', colour: '#102030' };
    const of: Address = ['segments', segment, 'finishes', 'a', 'colour'];
    const base = setFinish({ ...landing, segments: [{ ...landing.segments[0], finishes: [] }, ...landing.segments.slice(1)] }, segment, finish); // prettier-ignore
    const done = editAt(setKey(base, of, 0), 1, (shown) => setFinish(shown, segment, { ...finish, colour: '#ffffff' }));
    expect(keysOf(done, of).map(({ value }) => value)).toEqual(['#102030', '#ffffff']);
    // Whichever finish was changed last stands last: keys stay with their part.
    const other = editAt(done, 1, (shown) => setFinish(setFinish(shown, segment, { ...finish, part: 'b' }), segment, { ...finish, colour: '#00ff00' })); // prettier-ignore
    const { finishes } = other.segments.find(({ id }) => id === segment)!;
    expect(finishes.map(({ part }) => part)).toEqual(['b', 'a']);
    expect(keysOf(other, of).map(({ value }) => value)).toEqual(['#102030', '#00ff00']);
    expect(finishes[0].colour).toBe('#102030');
    const helix: Project = {
      ...landing,
      paths: landing.paths.map((own) =>
        own.id === path
          ? { ...own, curve: { ...own.curve, kind: 'helix', numbers: { radius: 2, turns: 3, rise: 4 } } as never }
          : own,
      ),
    };
    const radius: Address = ['paths', path, 'curve', 'numbers', 'radius'];
    const grown = editAt(setKey(helix, radius, 0), 2, (shown) => setNumber(shown, path, 'radius', 5));
    expect(keysOf(grown, radius).map(({ value }) => value)).toEqual([2, 5]);
  });
});

describe('commands of keys', () => {
  const project = keyed(ROLL, key(0, 0), key(1, 1), key(2, 4));

  it('move several, none before the start, and replace those that they come to lie on', () => {
    const { project: moved, chosen } = moveKeys(project, [{ of: ROLL, at: 0 }, { of: ROLL, at: 1 }], 1); // prettier-ignore
    expect(keysOf(moved, ROLL)).toEqual([key(1, 0), key(2, 1)]);
    expect(chosen.map(({ at }) => at)).toEqual([1, 2]);
    const held = moveKeys(project, [{ of: ROLL, at: 1 }, { of: ROLL, at: 2 }], -5); // prettier-ignore
    expect(keysOf(held.project, ROLL).map(({ at, value }) => [at, value])).toEqual([[0, 1], [1, 4]]); // prettier-ignore
  });

  it('copy to another time, type values within bounds, change the pace, and delete', () => {
    const copied = copyKeys(project, [{ of: ROLL, at: 1 }, { of: ROLL, at: 2 }]); // prettier-ignore
    const pasted = pasteKeys(project, copied, 5).project;
    expect(keysOf(pasted, ROLL).map(({ at, value }) => [at, value])).toEqual([[0, 0], [1, 1], [2, 4], [5, 1], [6, 4]]); // prettier-ignore
    const typed = changeKey(pasted, { of: ROLL, at: 5 }, { value: 1e9, easing: { kind: 'hold' } });
    expect(keysOf(typed, ROLL)[3]).toEqual(key(5, 1e4, { kind: 'hold' }));
    sound(typed);
    expect(deleteKeys(typed, copied[0].keys.map(({ at }) => ({ of: ROLL, at }))).keyed[0].keys).toHaveLength(3); // prettier-ignore
    expect(deleteKeys(project, project.keyed[0].keys.map(({ at }) => ({ of: ROLL, at }))).keyed).toEqual([]); // prettier-ignore
  });

  it('are told of where a file has wrong ones', () => {
    const wrong = [
      keyed(ROLL, key(0, '#ffffff')),
      keyed(ROLL, key(0, 1e9)),
      keyed(ROLL, key(1, 0), key(1, 0)),
      { ...landing, keyed: [...project.keyed, ...project.keyed] },
    ];
    for (const one of wrong) expect(projectSchema.safeParse(one).success).toBe(false);
    expect(projectSchema.safeParse(wrong[1]).error!.issues[0].message).toBe(`runs / ${run} / shape / roll cannot be 1000000000`); // prettier-ignore
  });
});
