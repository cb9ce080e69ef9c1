import { useMemo } from 'react';
import { add, scale, type Vec3 } from '../../core/math/vec3';
import { useSession } from '../state/app-context';
import type { Hold } from './holds';
import { ScenePolyline } from './ScenePolyline';
import type { Viewport } from './viewport';

/** Squares of the ground that the line reaches either way. */
const REACH = 6;

/** The line that a dragged thing is held to. */
export function HoldLine({ viewport, place, hold }: { viewport: Viewport; place: Vec3; hold: Hold }) {
  const cell = useSession((s) => s.cell);
  const { line } = hold;
  const places = useMemo(
    () => (line ? [add(place, scale(line, -REACH * cell)), add(place, scale(line, REACH * cell))] : []),
    [place, line, cell],
  );
  return <ScenePolyline viewport={viewport} places={places} isDashed />;
}
