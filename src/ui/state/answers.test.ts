import { Answers } from './answers';

describe('answers that are kept', () => {
  it('are asked for once, and one after the other', async () => {
    const answers = new Answers<number>(10);
    const order: string[] = [];
    const work = (name: string, value: number) => async () => {
      order.push(`${name} begins`);
      await new Promise((done) => setTimeout(done, 5));
      order.push(`${name} ends`);
      return value;
    };
    const all = await Promise.all([answers.ask('a', work('a', 1)), answers.ask('b', work('b', 2)), answers.ask('a', work('again', 3))]); // prettier-ignore
    expect(all).toEqual([1, 2, 1]);
    expect(order).toEqual(['a begins', 'a ends', 'b begins', 'b ends']);
  });

  it('are forgotten where they came to nothing, and the next ones come all the same', async () => {
    const answers = new Answers<number>(10);
    expect(await answers.ask('a', () => Promise.reject(new Error('a worker went')))).toBeUndefined();
    expect(await answers.ask('b', async () => undefined)).toBeUndefined();
    expect(await Promise.all([answers.ask('a', async () => 1), answers.ask('b', async () => 2)])).toEqual([1, 2]);
  });

  it('are never more than was said: the oldest goes', async () => {
    const answers = new Answers<number>(2);
    let asked = 0;
    const ask = (key: string) => answers.ask(key, async () => ++asked);
    for (const key of ['a', 'b', 'c', 'b', 'c', 'a']) await ask(key);
    expect(asked).toBe(4);
  });
});
