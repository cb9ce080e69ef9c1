import { Answers } from './answers';
import { meantBy, toggled } from './chosen-ids';

describe('answers that are kept', () => {
  it('are worked out once each, one after the other', async () => {
    const answers = new Answers<string>(10);
    const order: string[] = [];
    const work = (name: string) => async () => {
      order.push(`${name} begins`);
      await new Promise((done) => setTimeout(done, 2));
      order.push(`${name} ends`);
      return name;
    };
    const [a, again, b] = [answers.ask('a', work('a')), answers.ask('a', work('never')), answers.ask('b', work('b'))];
    expect(await Promise.all([a, again, b])).toEqual(['a', 'a', 'b']);
    expect(order).toEqual(['a begins', 'a ends', 'b begins', 'b ends']);
  });

  it('are asked for again when they came to nothing, and do not hold up the next ones', async () => {
    const answers = new Answers<number>(10);
    expect(await answers.ask('a', () => Promise.reject(new Error('crashed')))).toBeUndefined();
    expect(await answers.ask('b', () => Promise.resolve(2))).toBe(2);
    expect(await answers.ask('a', () => Promise.resolve(1))).toBe(1);
  });

  it('are no more than so many: the oldest go', async () => {
    const answers = new Answers<number>(2);
    const asked = jest.fn((value: number) => Promise.resolve(value));
    for (const [i, key] of ['a', 'b', 'c', 'c', 'b', 'a'].entries()) await answers.ask(key, () => asked(i));
    expect(asked.mock.calls.map(([i]) => i)).toEqual([0, 1, 2, 5]);
  });
});

describe('several that are chosen', () => {
  it('are meant together where the one that is pointed at is among them', () => {
    expect(meantBy(['a', 'b'], 'b')).toEqual(['a', 'b']);
    expect(meantBy(['a', 'b'], 'c')).toEqual(['c']);
  });

  it('have the last one that was chosen first, and let go of one', () => {
    expect(toggled(['a'], 'b')).toEqual(['b', 'a']);
    expect(toggled(['b', 'a'], 'b')).toEqual(['a']);
    expect(toggled([], 'a')).toEqual(['a']);
  });
});
