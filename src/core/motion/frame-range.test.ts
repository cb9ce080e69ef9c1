import { frameCount, frameName, frameTime, rangeOf } from './frame-range';
import { TIME_DEFAULTS } from './time-spec';

describe('frames by number', () => {
  it('begin with 1 at no time, and end with that of the last moment', () => {
    const range = rangeOf({ ...TIME_DEFAULTS, seconds: 4, framesPerSecond: 24 });
    expect(range).toEqual({ first: 1, last: 97, framesPerSecond: 24 });
    expect([frameTime(range, 1), frameTime(range, 25), frameTime(range, 97)]).toEqual([0, 1, 4]);
    expect(frameCount(range)).toBe(97);
  });

  it('of a loop leave out the one that is the first again, and keep to what is played', () => {
    const loop = { ...TIME_DEFAULTS, seconds: 4, framesPerSecond: 24, loops: true };
    expect(rangeOf(loop)).toMatchObject({ first: 1, last: 96 });
    expect(rangeOf({ ...loop, played: { from: 1, to: 2 } })).toMatchObject({ first: 25, last: 48 });
    expect(rangeOf({ ...loop, played: { from: 1, to: 1.001 } })).toMatchObject({ first: 25, last: 25 });
  });

  it('have names that sort as they follow', () => {
    const names = [1, 2, 10, 100].map((frame) => frameName('a', frame, { last: 100 }));
    expect(names).toEqual(['a_0001', 'a_0002', 'a_0010', 'a_0100']);
    expect(frameName('a', 7, { last: 12_000 })).toBe('a_00007');
  });
});
