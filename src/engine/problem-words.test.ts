import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { problem, type Problem } from '../core/math/result';
import { problemWords } from './problem-words';

/** Every code that there is, as the list of facts has it; that each has words is held by the types. */
const LIST = readFileSync(join(__dirname, '../core/math/problem-facts.ts'), 'utf8');
const CODES = [...LIST.matchAll(/^ {2}'([a-z]+\.[a-z-]+)':/gm)].map((m) => m[1] as Problem['code']);
/** Facts under any name: text where it is asked for some, a number else. */
const TEXTS = new Set([...LIST.matchAll(/(\w+)\??: string/g)].map((m) => m[1]));
const FACTS = new Proxy({}, { get: (_, key) => (key === 'run' ? undefined : TEXTS.has(String(key)) ? 'three' : 3) });

describe('problemWords', () => {
  it('finds the codes', () => expect(CODES.length).toBeGreaterThan(90));

  it.each(CODES)('says what of %s, and what to do, on the page, the command line and the server alike', (code) => {
    const text = problemWords({ code, path: ['a', 0], facts: FACTS } as Problem);
    expect(text).not.toMatch(/undefined|NaN|\[object/);
    expect(text).toMatch(/\.$/);
    // Neither is there a step 2 on the command line, nor a browser.
    if (!code.startsWith('storage.')) expect(text).not.toMatch(/\bstep \d|browser|\bclick/i);
  });

  it('says which run it is about', () => {
    const told = problem('laying.no-reach', { from: 1, to: 1, run: 'Causeway' });
    expect(problemWords(told)).toMatch(/^Causeway: /);
  });
});
