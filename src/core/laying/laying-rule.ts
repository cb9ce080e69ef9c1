/** Counted pieces keep their own length one behind the other, or fill the reach by their stretch or by their gaps. */
export type CountFit = 'own' | 'stretch' | 'gaps';

/** One piece over the whole reach, or at its own length at the reach's start, middle or end. */
export type OneFit = 'reach' | 'start' | 'middle' | 'end';

/** What a rule gets: lengths in metres. */
export interface LayInput {
  /** Length of the part of the path that the run covers. */
  readonly reach: number;
  /** The segment's natural length. */
  readonly natural: number;
  /** Clear distance wished between pieces; negative = overlap. */
  readonly gap: number;
  /** Pieces wished, for rules that count. */
  readonly count: number;
  /** Where one piece of its own length lies in the reach; over all of it = stretched to it. */
  readonly oneFit: OneFit;
  /** What counted pieces do with a reach that they do not fill. */
  readonly countFit: CountFit;
  /** The reach goes once round a closed path, so that the last piece meets the first. */
  readonly round: boolean;
}

/** Equal pieces with equal gaps from the start of the reach on. */
export interface Laid {
  readonly count: number;
  /** Laid length of each piece, metres. */
  readonly length: number;
  /** Clear distance between neighbours, metres. */
  readonly gap: number;
  /** Metres of the reach before the first piece; absent = none. */
  readonly before?: number;
}

/** How many pieces and how long; adding one is a file in `rules/` and a line in its list. */
export interface LayingRule<K extends string = string> {
  readonly kind: K;
  readonly label: string;
  readonly hint: string;
  readonly uses: { readonly gap: boolean; readonly count: boolean };
  lay(input: LayInput): Laid;
}

export const defineLayingRule = <K extends string>(rule: LayingRule<K>): LayingRule<K> => rule;

/** Gaps between `count` pieces. */
export const gapCount = (count: number, round: boolean): number => (round ? count : Math.max(0, count - 1));

/** The number of pieces of pitch natural + gap that comes nearest to filling the reach; at least one. */
export function nearestCount({ reach, natural, gap, round }: LayInput, rounded: (x: number) => number): number {
  const pitch = Math.max(natural + gap, natural * 1e-3);
  return Math.max(1, rounded((reach + (round ? 0 : gap)) / pitch));
}
