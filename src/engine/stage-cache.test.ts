import { makeSegmentMesh } from '../core/segment/registry';
import { compiled, jobOf, planRun, prepared, tableOf, unwrap } from '../core/testing/runs';
import { pathOf } from '../core/testing/curves';
import { bytesOf } from './bytes-of';
import { StageCache } from './stage-cache';

describe('what stages keep', () => {
  const table = tableOf(compiled(pathOf('straight', [[0, 0, 0], [10, 0, 0]])), 'upright'); // prettier-ignore

  it('stays within its budget however far a slider is drawn: from 1 to 200', () => {
    const cache = new StageCache(2 ** 22);
    const segment = prepared(makeSegmentMesh({ kind: 'rail', length: 1, width: 0.1, height: 0.1, rounding: 0.02 } as never)); // prettier-ignore
    let most = 0;
    for (let turns = 1; turns <= 200; turns++) {
      const job = jobOf({ bending: { turns }, laying: { kind: 'fillStretch' } });
      unwrap(planRun({ table, segment, job, forms: cache }));
      most = Math.max(most, cache.bytes);
    }
    expect(most).toBeGreaterThan(2 ** 21);
    expect(most).toBeLessThanOrEqual(2 ** 22);
  });

  it('is given back to whoever asks for the same, and what was asked for last stays', () => {
    const cache = new StageCache(10_000);
    const stage = cache.stage<Float32Array>();
    let made = 0;
    const ask = (key: string) => stage.get(key, () => new Float32Array(1000).fill(++made))[0];
    expect([ask('a'), ask('b'), ask('a'), ask('c'), ask('a'), ask('b')]).toEqual([1, 2, 1, 3, 1, 4]);
  });

  it('is made once for those who ask while it is being made, and not kept where it is not to be', async () => {
    const stage = new StageCache().stage<number[]>();
    let made = 0;
    const make = async () => [++made];
    const both = await Promise.all([stage.getLater('a', make), stage.getLater('a', make)]);
    expect(both).toEqual([[1], [1]]);
    expect(await stage.getLater('b', make, () => false)).toEqual([2]);
    expect(await stage.getLater('b', make)).toEqual([3]);
  });

  it('is measured by its typed arrays, each once, without those that others keep', () => {
    const shared = new Float64Array(1000);
    const own = new Float32Array(500);
    const value = { a: shared, b: [own, own.subarray(3)], c: 'x' };
    expect(bytesOf(value)).toBeGreaterThanOrEqual(10_000);
    expect(bytesOf(value)).toBeLessThan(10_400);
    expect(bytesOf(value, [shared])).toBeLessThan(2400);
    expect(bytesOf({ list: Array.from({ length: 100_000 }, (_, i) => ({ i })) })).toBeGreaterThan(1e6);
  });
});
