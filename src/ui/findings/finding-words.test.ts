import { checks } from '../../core/findings/checks';
import type { Finding } from '../../core/findings/registry';
import { findingWords } from './finding-words';

const FACTS = {
  radius: 2.9,
  depth: 0.2,
  other: 12,
  needed: 3.4,
  row: 1,
  remainder: 2,
  point: 1,
  asked: 5,
  used: 2,
  length: 3,
  offset: 30,
  size: 1800,
  unit: 0.001,
  gap: -0.02,
  wanted: 0.01,
  off: 0.04,
  slack: 0.03,
  pitch: 12.7,
  links: 40,
  teeth: 0.1,
  angle: 0.8,
  count: 3,
  opening: 0.12,
  overlap: 0.05,
  least: 0.17,
  greatest: 0.2,
};

/** Those that nothing puts right by itself. */
const BY_HAND = ['endUnmet', 'pressedTooFar', 'openingTooWide', 'piecesOverlap', 'linkTooLong'];

describe('findingWords', () => {
  it.each(Object.keys(checks))('has a title, an amount and a remedy for %s', (check) => {
    const { title, text, remedy } = findingWords({
      check,
      facts: FACTS,
      at: { from: 40, to: 42, station: 41.2 },
      remedy: { kind: 'setLayingRule', rule: 'fillStretch' },
    } as unknown as Finding);
    expect(title).not.toBe(check);
    expect(text).toMatch(/\d/);
    expect(`${text} ${remedy ?? ''}`).not.toMatch(/NaN|undefined|endless/);
    expect(remedy === undefined).toBe(BY_HAND.includes(check));
  });

  it('names place, amount and remedy the way a maker would', () => {
    const finding: Finding = {
      check: 'foldingOver',
      at: { from: 40, to: 42, station: 41.2 },
      facts: { radius: 2.9, needed: 3.4 },
      remedy: { kind: 'roundBend', station: 41.2, radius: 3.6 },
    };
    expect(findingWords(finding)).toEqual({
      title: 'Bend too tight for this segment',
      text: 'Radius 2.9 m at station 41.20 m; the inner side needs 3.4 m.',
      remedy: 'Round the bend to 3.6 m',
    });
  });
});
