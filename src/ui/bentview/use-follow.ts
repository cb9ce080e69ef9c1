import { useEffect, useRef } from 'react';
import type { Vec3 } from '../../core/math/vec3';
import type { Path } from '../../project/schema';
import { useApp } from '../state/app-context';
import { chosenPoints } from '../state/session-store';
import type { Viewport } from './viewport';

/** Brings into the picture what was edited out of it by numbers or commands; what is dragged in the view is seen anyway. */
export function useFollow(viewport: Viewport, path: Path | undefined): void {
  const { session } = useApp();
  const last = useRef<Path>(undefined);
  useEffect(() => {
    const before = last.current;
    last.current = path;
    const { isDragging, tool } = session.getState();
    if (!path || before?.id !== path.id || before.curve === path.curve || isDragging || tool !== 'shape') return;
    const { points } = path.curve;
    const chosen = chosenPoints(session.getState()).filter((i) => points[i]);
    const places = chosen.length > 0 ? chosen.map((i) => points[i].position) : points.map(({ position }) => position);
    if (places.length > 0 && !places.some((place) => isSeen(viewport, place))) session.getState().frame('run');
  }, [viewport, session, path]);
}

function isSeen(viewport: Viewport, place: Vec3): boolean {
  const { x, y, isAhead } = viewport.toScreen(place);
  const { width, height } = viewport.size;
  return isAhead && x >= 0 && y >= 0 && x <= width && y <= height;
}
