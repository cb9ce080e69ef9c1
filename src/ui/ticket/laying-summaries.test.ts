import { newCourse } from '../../project/defaults';
import type { Course } from '../../project/schema';
import { layingSummaries } from './laying-summaries';

const told = (change: Partial<Course>, laying: Partial<Course['laying']> = {}) => {
  const course = { ...newCourse('s'), ...change };
  return layingSummaries({ ...course, laying: { ...course.laying, ...laying } });
};

describe('layingSummaries', () => {
  it('say of a new course that there is nothing to say', () => {
    expect(told({})).toEqual({ places: 'none', pattern: 'all the same', position: 'on the path', variation: 'none' });
  });

  it('say where it lies, with the side in words', () => {
    expect(told({ side: -3.75, height: 0.5 }).position).toBe('3.75 m to the left, 0.50 m above');
    expect(told({ side: 2, height: -0.5, mirrored: true }).position).toBe(
      '2.00 m to the right, 0.50 m below, mirrored',
    );
    expect(told({ align: { side: 'left', height: 'own' } }).position).toBe('aligned');
  });

  it('say what repeats, and how often', () => {
    const turned = (every: number, turn: number) => told({}, { everyOther: { every, turn, mirrored: turn === 0 } });
    expect(turned(2, Math.PI / 2).pattern).toBe('every other turned 90°');
    expect(turned(3, 0).pattern).toBe('one in 3 mirrored');
    expect(told({}, { pattern: { kind: 'sequence', order: 'A A B' } }).pattern).toBe('A A B');
  });

  it('say what is at the ends and joints', () => {
    const margins = { first: 0.5, last: 0, head: 0, tail: 0 };
    expect(told({ head: 'cap' }, { margins }).places).toBe('0.50 m free at the start, ends of their own');
    const joints = { at: 'points', angle: 1, clear: 0 } as const;
    expect(told({ joint: 'post' }, { joints }).places).toBe('parted at points, a piece there');
  });
});
