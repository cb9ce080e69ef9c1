import { seamGap } from '../segment/match-seams';
import { endsMatch } from '../segment/open-ends';
import type { PreparedSegment } from '../segment/prepared-segment';

/** How the ends of one thing fit the start of another. */
interface Seam {
  /** They cover each other. */
  readonly matches: boolean;
  /** Metres, see `seamGap`. */
  readonly gap: number | undefined;
}

/** What is known of the seams of a course, each pair looked at once. */
export class Seams {
  readonly #known = new Map<PreparedSegment, Map<PreparedSegment, Seam>>();

  between(before: PreparedSegment, after: PreparedSegment): Seam {
    const known = this.#known.get(before) ?? new Map<PreparedSegment, Seam>();
    const own = known.get(after) ?? this.#lookAt(before, after);
    this.#known.set(before, known.set(after, own));
    return own;
  }

  #lookAt(before: PreparedSegment, after: PreparedSegment): Seam {
    if (before === after) return { matches: before.endsMatch, gap: before.seam.gap };
    return { matches: endsMatch(before, after), gap: seamGap(before, after) };
  }

  /** Metres: the largest gap of those that were looked at; undefined where none could be measured. */
  get largest(): number | undefined {
    const gaps = [...this.#known.values()].flatMap((own) => [...own.values()].flatMap(({ gap }) => gap ?? []));
    return gaps.length > 0 ? Math.max(...gaps) : undefined;
  }
}
