'use client';

import type { Vec3 } from '../../core/math/vec3';
import type { Path } from '../../project/schema';
import { useApp, useSession, useSet } from '../state/app-context';
import { usePivot } from '../state/use-pivot';
import { PathPointDisc } from './PathPointDisc';
import { snap } from './snap';
import type { DragAt } from './use-disc-drag';
import type { Viewport } from './viewport';

const nothing = () => {};

/** What several points are turned and scaled about, where that is a place of its own. */
export function PivotDisc({ viewport, path }: { viewport: Viewport; path: Path }) {
  const { document, session } = useApp();
  const view = useSession((s) => s.view);
  const set = useSet();
  const { pivot, place } = usePivot(path.curve);
  if (pivot !== 'own') return null;
  const move = (to: Vec3, { isExact, x, y }: DragAt) => {
    const { project } = document.getState();
    const { snapping } = session.getState();
    const on = () => snap(to, { viewport, project, snapping, path: path.id, chosen: [], x, y }).place;
    set({ pivotPlace: isExact ? to : on() });
  };
  return (
    <PathPointDisc
      viewport={viewport}
      view={view}
      shape="guide"
      label="Pivot"
      tag="pivot"
      place={place}
      isSelected={false}
      on={{ select: nothing, move, begin: nothing, end: nothing }}
    />
  );
}
