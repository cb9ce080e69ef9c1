import type { ScaleLinear } from 'd3-scale';
import { select } from 'd3-selection';
import { zoom, zoomIdentity, type D3ZoomEvent, type ZoomBehavior } from 'd3-zoom';
import { useCallback, useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';

/** So many metres of a path are shown at the least, and so many times is it drawn larger at the most. */
const LEAST_METRES = 0.05;
const MOST = 1e5;
/** What a key does to the zoom, and by which share of the view it moves along. */
const FACTOR = 1.5;
const STEP = 0.2;

export interface Zoomed {
  readonly x: ScaleLinear<number, number>;
  readonly isZoomed: boolean;
  /** To be given to the drawing. */
  readonly ref: (svg: SVGSVGElement | null) => void;
  readonly onKeyDown: (event: KeyboardEvent) => void;
  /** Shows all, or these stations. */
  readonly whole: () => void;
  readonly show: (from: number, to: number) => void;
}

/** Zooming and moving along a scale by wheel, pinch and keys, and by dragging what is marked with data-pan. `key` = what is shown: another one is shown whole. */
export function useZoom(whole: ScaleLinear<number, number>, key: string): Zoomed {
  const [state, setState] = useState({ key, transform: zoomIdentity });
  const transform = state.key === key ? state.transform : zoomIdentity;
  const svg = useRef<SVGSVGElement>(null);
  const behaviour = useRef<ZoomBehavior<SVGSVGElement, unknown>>(undefined);
  const [left, right] = whole.range() as [number, number];
  const [start, end] = whole.domain() as [number, number];
  const most = Math.min(Math.max((end - start) / LEAST_METRES, 1), MOST);
  const attach = useCallback(
    (element: SVGSVGElement | null) => {
      svg.current = element;
      if (!element) return;
      behaviour.current ??= zoom<SVGSVGElement, unknown>();
      behaviour.current
        .scaleExtent([1, most])
        .extent([
          [left, 0],
          [right, 1],
        ]) // prettier-ignore
        .translateExtent([
          [left, -Infinity],
          [right, Infinity],
        ]) // prettier-ignore
        .filter(({ type, button, target, shiftKey }: MouseEvent) => {
          if (type === 'wheel') return !shiftKey;
          if (type === 'dblclick') return false;
          return button === 1 || type.startsWith('touch') || (target as Element).closest('[data-pan]') !== null;
        })
        .on('zoom', ({ transform: now }: D3ZoomEvent<SVGSVGElement, unknown>) => setState({ key, transform: now }));
      select(element).call(behaviour.current).on('dblclick.zoom', null);
    },
    [key, left, right, most],
  );
  useEffect(() => {
    const element = svg.current;
    if (!element) return;
    // What is shown anew is shown whole, and the wheel sideways or with Shift moves along.
    if (state.key !== key && behaviour.current) behaviour.current.transform(select(element), zoomIdentity);
    const onWheel = (event: WheelEvent) => {
      const by = event.deltaX || (event.shiftKey ? event.deltaY : 0);
      event.preventDefault();
      if (by === 0) return;
      event.stopImmediatePropagation();
      behaviour.current?.translateBy(select(element), -by / (transform.k || 1), 0);
    };
    element.addEventListener('wheel', onWheel, { capture: true, passive: false });
    return () => element.removeEventListener('wheel', onWheel, { capture: true });
  });
  const x = useMemo(() => transform.rescaleX(whole), [transform, whole]);
  const act = (work: (b: ZoomBehavior<SVGSVGElement, unknown>, on: SVGSVGElement) => void) => {
    if (behaviour.current && svg.current) work(behaviour.current, svg.current);
  };
  const show = (from: number, to: number) =>
    act((b, on) => {
      const k = Math.min((end - start) / Math.max(to - from, LEAST_METRES), most);
      b.transform(select(on), zoomIdentity.translate(left, 0).scale(k).translate(-whole(from), 0));
    });
  return {
    x,
    ref: attach,
    isZoomed: transform.k > 1 + 1e-6,
    show,
    whole: () => show(start, end),
    onKeyDown(event) {
      const along = { ArrowLeft: 1, ArrowRight: -1 }[event.key];
      if (event.target !== svg.current) return;
      if (event.key === '+' || event.key === '=') act((b, on) => b.scaleBy(select(on), FACTOR));
      else if (event.key === '-') act((b, on) => b.scaleBy(select(on), 1 / FACTOR));
      else if (event.key === '0') show(start, end);
      else if (along !== undefined)
        act((b, on) => b.translateBy(select(on), (along * STEP * (right - left)) / transform.k, 0)); // prettier-ignore
      else return;
      event.preventDefault();
      event.stopPropagation();
    },
  };
}
