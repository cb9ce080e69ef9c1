import type { CheckName, FactsOf, Finding } from '../../core/findings/registry';
import type { Remedy } from '../../core/findings/finding';
import { degrees, metres, percentText, radius, times } from '../format';

/** A finding as people read it: what, where and how much, and the name of its remedy. */
export interface FindingWords {
  readonly title: string;
  readonly text: string;
  readonly remedy?: string;
}

const place = (finding: Finding): string => (finding.at ? ` at station ${metres(finding.at.station)}` : '');

const WORDS: { readonly [K in CheckName]: (facts: FactsOf<K>, finding: Finding) => FindingWords } = {
  foldingOver: (f, finding) => ({
    title: 'Bend too tight for this segment',
    text: `${f.radius === 0 ? 'A sharp corner' : `Radius ${radius(f.radius)}`}${place(finding)}; the inner side needs ${radius(f.needed)}.`,
    remedy: `Round the bend to ${radius(finding.remedy?.kind === 'roundBend' ? finding.remedy.radius : f.needed)}`,
  }),
  tooNearGuide: (f, finding) => ({
    title: f.gap < 0 ? 'Passes through a guide' : 'Too near to a guide',
    text:
      f.gap < 0
        ? `By ${metres(-f.gap)}${place(finding)}.`
        : `${metres(f.gap)} away${place(finding)}; it is to keep ${metres(f.wanted)}.`,
    remedy: 'Push the path out',
  }),
  passesThrough: (f, finding) => ({
    title: finding.run ? 'Passes through another run' : 'Passes through itself',
    text: `By ${metres(f.depth)}${place(finding)}${finding.run ? '' : `, where it comes back at ${metres(f.other)}`}.`,
    remedy: 'Move it aside there',
  }),
  tooFewRows: (f, finding) => ({
    title: 'Too few rows to bend smoothly',
    text: `Rows are ${metres(f.row)} apart${place(finding)}; the bend needs one every ${metres(f.needed)}.`,
    remedy: 'Slice as the path needs it',
  }),
  tooCoarse: (f) => ({
    title: 'Too many bends to follow them all',
    text: `The run keeps to its path within ${metres(f.off)}; ${metres(f.wanted)} is asked for.`,
    remedy: `Accept ${metres(f.off)}`,
  }),
  endMissed: (f) => ({
    title: f.remainder > 0 ? 'The run stops short' : 'The run goes past its reach',
    text:
      f.remainder > 0 ? `${metres(f.remainder)} of the reach is bare.` : `${metres(-f.remainder)} lies beyond the end.`,
    remedy: 'Fill, evening the stretch',
  }),
  endUnmet: (_, finding) => ({
    title: 'An end does not meet its guide',
    text: `The path${place(finding)} neither passes through it nor points at it. Turn the end towards the guide, or choose another one.`,
  }),
  overStretched: (f, { remedy }) => ({
    title: f.stretch > 1 ? `Stretched ${times(f.stretch)}` : `Pressed to ${percentText(f.stretch * 100)}`,
    text: `A segment ${metres(f.length)} long would fit as it is.`,
    remedy: remedy?.kind === 'setLayingRule' ? 'Lay several, evening the stretch' : `Make it ${metres(f.length)} long`,
  }),
  pressedTooFar: (f, finding) => ({
    title: 'Pieces are pressed too far',
    text: `${metres(f.length)} long${place(finding)}; what of them keeps its shape needs ${metres(f.needed)}. Lay fewer.`,
  }),
  linkTooLong: (f, finding) => ({
    title: 'Links too long for this bend',
    text: `Radius ${radius(f.radius)}${place(finding)}; links of ${metres(f.pitch)} need ${radius(f.pitch / 2)}. Take shorter ones, or widen it.`,
  }),
  loopOpen: (f) => ({
    title: 'The loop does not close',
    text: `${metres(f.slack)} lie between the last of ${f.links} links and the first.`,
    remedy: 'Share it between all pins',
  }),
  toothPitch: (f) => ({
    title: 'Teeth and links differ',
    text: `The teeth are ${metres(f.teeth)} apart, the links ${metres(f.links)}.`,
    remedy: `Set the teeth to ${metres(f.links)}`,
  }),
  cornerMissing: (f, finding) => ({
    title: 'Stiff pieces lie across a corner',
    text: `It turns by ${degrees(f.angle)}${place(finding)}${f.count > 1 ? `, and ${f.count - 1} more do` : ''}.`,
    remedy: 'Part the course at corners',
  }),
  openingTooWide: (f) => ({
    title: 'An opening is too wide',
    text: `${metres(f.opening)}, where ${metres(f.wanted)} is the most; one more piece would overlap. Take narrower pieces.`,
  }),
  piecesOverlap: (f, finding) => ({
    title: 'Pieces lie in each other',
    text: `By up to ${metres(f.overlap)}${place(finding)}, ${f.count === 1 ? 'once' : `${f.count} times`}. Move the places apart.`,
  }),
  seamOpen: (f, { remedy }) => ({
    title: 'Ends do not meet',
    text: `Where pieces touch, the end of the one is up to ${metres(f.off)} off the start of the next.`,
    ...(remedy && { remedy: 'Move the ends onto each other' }),
  }),
  unevenRise: (f, { remedy }) => ({
    title: 'The steps are uneven',
    text: `From ${metres(f.least)} to ${metres(f.greatest)} high.`,
    ...(remedy && { remedy: 'Lay from the rise' }),
  }),
  roundingReduced: (f, finding) => ({
    title: 'A rounding does not fit',
    text: `Point ${f.point + 1}${place(finding)} asks for ${radius(f.asked)} and has room for ${radius(f.used)}.`,
    remedy: `Set it to ${radius(f.used)}`,
  }),
  steepPath: (f, finding) => ({
    title: 'The path climbs straight up',
    text: `For ${metres(f.length)}${place(finding)} it runs vertically, so there is no upright; the turn is spread over this stretch.`,
    remedy: 'Use least twist',
  }),
  offMiddle: (f) => ({
    title: 'The mesh lies beside its own middle',
    text: `Its middle is ${metres(f.offset)} off the path.`,
    remedy: 'Put its middle on the path',
  }),
  absurdSize: (f) => ({
    title: 'The mesh has an unlikely size',
    text: `Its longest side is ${metres(f.size)}; the unit of the file is probably another.`,
    remedy: `Take one unit as ${metres(f.unit)}`,
  }),
};

/** What a further remedy is called. */
export function remedyWords(remedy: Remedy): string {
  if (remedy.kind === 'roundBend') return 'Open the bend between';
  if (remedy.kind === 'movePath') return 'Move the path there';
  if (remedy.kind !== 'setGauge') return 'Put right';
  return remedy.which === 'side' ? 'Widen it there' : 'Thin it there';
}

export function findingWords(finding: Finding): FindingWords {
  const words = WORDS[finding.check] as (facts: Finding['facts'], finding: Finding) => FindingWords; // a check with its own facts
  return words(finding.facts, finding);
}
