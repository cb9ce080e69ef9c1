import type { SegmentEnd } from '../segment/open-ends';
import type { ShownPart } from '../segment/pieces/plan-forms';
import type { Span } from './growth';

/** What of a piece lies in one span of its run. */
export interface SpanPart {
  /** Absent = all of it. */
  readonly part?: ShownPart;
  /** Its own ends at which what was beside it is not there. */
  readonly ends: readonly SegmentEnd[];
  readonly shift: number;
}

/** Of a piece: nearer to a span's end than this share of it is at the end. */
const NEAR = 1e-6;

/** What of a piece of this length lies in spans of the finished run; `factor` = metres along the path per metre of it. */
export function shownSpans(station: number, factor: number, length: number, spans: readonly Span[]): SpanPart[] {
  return spans.flatMap((span): SpanPart[] => {
    const [from, to] = [(span.from - station) / factor, (span.to - station) / factor];
    const near = length * NEAR;
    if (to <= near || from >= length - near) return [];
    const isWhole = from <= near && to >= length - near;
    const ends: SegmentEnd[] = [];
    if (from > -near && from <= near) ends.push('start');
    if (to < length + near && to >= length - near) ends.push('end');
    return [
      { ends, shift: span.shift, ...(!isWhole && { part: { from: Math.max(from, 0), to: Math.min(to, length) } }) },
    ];
  });
}
