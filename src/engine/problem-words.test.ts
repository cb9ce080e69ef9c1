import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { problemWords } from './problem-words';

const ROOT = join(__dirname, '..');
const sources = readdirSync(ROOT, { recursive: true, encoding: 'utf8' })
  .filter((name) => /\.tsx?$/.test(name) && !name.includes('.test.'))
  .map((name) => readFileSync(join(ROOT, name), 'utf8'));
/** Every code that is failed with or built anywhere. */
const CODES = [
  ...new Set(sources.flatMap((text) => [...text.matchAll(/(?:fail\(|code: )'([a-z]+\.[a-z-]+)'/g)].map((m) => m[1]!))),
].sort();
/** Facts under any name: a number where it is asked for one, a word else. */
const FACTS = new Proxy({} as Record<string, number>, { get: (_, key) => (key === 'run' ? undefined : 3) });

describe('problemWords', () => {
  it('finds the codes', () => expect(CODES.length).toBeGreaterThan(50));

  it.each(CODES)('has words of its own for %s, which hold on the page, the command line and the server', (code) => {
    const text = problemWords({ code, path: ['a', 0], facts: FACTS });
    expect(text).not.toMatch(/^Something went wrong/);
    expect(text).not.toMatch(/undefined|NaN|\[object/);
    expect(text).toMatch(/\.$/);
    // Neither is there a step 2 on the command line, nor a browser.
    expect(text).not.toMatch(/\bstep \d|browser|\bclick/i);
  });

  it('says which run it is about', () => {
    expect(problemWords({ code: 'laying.no-reach', path: [], facts: { run: 'Causeway' } })).toMatch(/^Causeway: /);
  });
});
