import type { Problem } from '../../core/math/result';
import { causeway } from '../../project/samples';
import { metres, radius } from '../format';
import { STEPS } from '../state/steps';
import { stepSummary } from './step-summaries';

const [run] = causeway().runs;
const told = (code: Problem['code'], facts: Record<string, number> = {}) =>
  Object.fromEntries(
    STEPS.map((step) => [
      step,
      stepSummary(step, { run, course: run.courses[0] }, { segment: 'Road', dressed: '' }, undefined, [
        { code, path: [], facts } as Problem,
      ]),
    ]),
  );

describe('stepSummary', () => {
  it('tells a problem in the step that it belongs to, in its own words', () => {
    expect(told('laying.no-reach').laying).toMatch(/^The reach is empty/);
    expect(told('laying.no-reach').path).toBe('');
    expect(told('belt.overlap', { first: 1, second: 2 }).path).toMatch(/^Wheels 1 and 2 overlap/);
    expect(told('segment.empty').segment).toBe('The segment has no triangles');
    expect(told('curve.no-length').path).toMatch(/^The path has no length/);
  });

  it('says of a path that is still to be drawn just that', () => {
    expect(told('curve.too-few-points', { needed: 2, given: 0 }).path).toBe('not drawn yet');
    expect(told('curve.too-few-points', { needed: 3, given: 2 }).path).toMatch(/^The path needs 3 points/);
  });
});

it('a number that is none is not called straight', () => {
  expect([metres(NaN), radius(NaN), radius(Infinity), radius(9.24), radius(0.05)]).toEqual(['no number', 'no number', 'straight', '9.2 m', '50 mm']); // prettier-ignore
});
