import fc from 'fast-check';
import { untaken } from './untaken';

describe('a name that none has', () => {
  it('is itself where it is free, else with the least free number from 2 on', () => {
    expect(untaken('Rope', [])).toBe('Rope');
    expect(untaken('Rope', ['Rope'])).toBe('Rope 2');
    expect(untaken('Rope', ['Rope', 'Rope 3', undefined])).toBe('Rope 2');
    expect(untaken('Rope 2', ['Rope', 'Rope 2'])).toBe('Rope 3');
    expect(untaken('Rope', ['Rope 2'])).toBe('Rope'); // as when the first is gone
    expect(untaken('Camera 1', ['Camera 1', 'Camera 3'])).toBe('Camera 2');
  });

  it('is never taken, and short enough for a project', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), fc.array(fc.string()), (name, others) => {
        const taken = [...others, name, `${name} 2`];
        expect(taken).not.toContain(untaken(name, taken));
        expect(untaken(name, taken).length).toBeLessThanOrEqual(200);
      }),
    );
  });
});
