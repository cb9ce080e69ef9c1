import type { Finding } from '../../core/findings/registry';
import { asideCount, groupFindings } from './group-findings';

const at = (check: string, station: number, guide?: string): Finding =>
  ({ check, at: { from: station, to: station, station }, facts: {}, ...(guide && { guide }) }) as unknown as Finding;
const ALL = [at('foldingOver', 30), at('tooNearGuide', 4, 'a'), at('foldingOver', 10), at('tooNearGuide', 5, 'b')];

describe('groupFindings', () => {
  it('makes one group a cause, its places in order', () => {
    const groups = groupFindings(ALL);
    expect(groups.map(({ key }) => key)).toEqual(['foldingOver', 'tooNearGuide:a', 'tooNearGuide:b']);
    expect(groups[0].findings.map((f) => f.at!.station)).toEqual([10, 30]);
  });

  it('leaves out what is set aside, of one guide only where it is one, and counts it', () => {
    const aside = ['foldingOver', 'tooNearGuide:b', 'endMissed'];
    expect(groupFindings(ALL, aside).map(({ key }) => key)).toEqual(['tooNearGuide:a']);
    expect(asideCount(ALL, aside)).toBe(2);
  });
});
