import { useEffect, useMemo, useState } from 'react';
import type { PathPoint } from '../../core/curve/path-spec';
import { useApp } from '../state/app-context';
import type { Viewport } from './viewport';

/** So many points are shown however near to each other they lie. */
const ALWAYS = 60;
/** Pixels from one point that is shown to the next. */
const APART = 18;
/** Most points that are shown as discs. */
const MOST = 300;

/** Which points of a path are shown: on long paths fewer where they would crowd, as near as one looks just now; those chosen always. */
export function useShownPoints(
  viewport: Viewport,
  points: readonly PathPoint[],
  chosen: readonly number[],
): readonly number[] {
  const { session } = useApp();
  const [thinned, setThinned] = useState<readonly number[]>([]);
  const isLong = points.length > ALWAYS;
  useEffect(() => {
    if (!isLong) return;
    return viewport.onFrame(() => {
      if (session.getState().isDragging) return; // what is held stays
      const next = apart(viewport, points);
      setThinned((before) => (before.length === next.length && before.every((i, k) => i === next[k]) ? before : next));
    });
  }, [viewport, session, points, isLong]);
  const count = points.length;
  return useMemo(() => {
    if (!isLong) return Array.from({ length: count }, (_, i) => i);
    const shown = new Set([...thinned.filter((i) => i < count), ...chosen.slice(0, MOST)]);
    return [...shown].sort((a, b) => a - b);
  }, [isLong, count, thinned, chosen]);
}

function apart(viewport: Viewport, points: readonly PathPoint[]): number[] {
  const { width, height } = viewport.size;
  const shown: number[] = [];
  let [x, y] = [-Infinity, -Infinity];
  points.forEach(({ position }, i) => {
    const p = viewport.toScreen(position);
    const isSeen = p.isAhead && p.x > -APART && p.y > -APART && p.x < width + APART && p.y < height + APART;
    if (!isSeen || Math.hypot(p.x - x, p.y - y) < APART) return;
    shown.push(i);
    [x, y] = [p.x, p.y];
  });
  const stride = Math.ceil(shown.length / MOST);
  return stride > 1 ? shown.filter((_, k) => k % stride === 0) : shown;
}
