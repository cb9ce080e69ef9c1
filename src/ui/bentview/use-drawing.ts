import { useRef, useState } from 'react';
import type { CurveSpec } from '../../core/curve/registry';
import { add, distance, scale, type Vec3 } from '../../core/math/vec3';
import type { PathView } from '../../engine/path-view';
import { changeCurve } from '../../project/commands/paths';
import { addAlike, freeName } from '../../project/commands/runs';
import { newId } from '../../project/new-id';
import type { Path, Run } from '../../project/schema';
import { useApp, useNotify } from '../state/app-context';
import { dragTo } from './drag-plane';
import { placeAt as onPath } from './nearest-station';
import { strokeAlone, strokeOn, touchAt } from './stroke-meaning';
import type { Viewport } from './viewport';

/** Pixels: how far the fitted path may lie from the stroke. */
const FIT = 3;

/** Drawing by hand: over the guide under the pointer, else on the ground or in the plane of the view. */
export function useDrawing(viewport: Viewport) {
  const notify = useNotify();
  const { document, session } = useApp();
  const stroke = useRef<{ readonly places: Vec3[]; readonly screen: { x: number; y: number }[] } | undefined>(
    undefined,
  );
  const [line, setLine] = useState<readonly Vec3[]>([]);

  const placeAt = (x: number, y: number, level: Vec3): Vec3 | undefined => {
    const { snapping, view } = session.getState();
    const hit = snapping.guides ? viewport.guideAt(x, y) : undefined;
    return hit ? add(hit.place, scale(hit.normal, snapping.clearance)) : dragTo(viewport, view, x, y, level, false);
  };
  const start = (x: number, y: number, level: Vec3, view: PathView | undefined) => {
    const touch = view && touchAt(viewport, view, x, y);
    const place = touch ? onPath(view, touch.station) : placeAt(x, y, level);
    stroke.current = place && { places: [place], screen: [{ x, y }] };
    setLine(place ? [place] : []);
  };
  const go = (x: number, y: number) => {
    const current = stroke.current;
    if (!current) return;
    const last = current.screen[current.screen.length - 1];
    if (Math.hypot(x - last.x, y - last.y) < 2) return;
    const place = placeAt(x, y, current.places[current.places.length - 1]);
    if (!place) return;
    current.places.push(place);
    current.screen.push({ x, y });
    setLine([...current.places]);
  };
  const end = (run: Run | undefined, path: Path | undefined, view: PathView | undefined) => {
    const current = stroke.current;
    stroke.current = undefined;
    setLine([]);
    if (!run || !path || !current || current.places.length < 3) return;
    const { places, screen } = current;
    const tolerance = metresPerPixel(viewport, places) * FIT;
    const [from, to] = [screen[0], screen[screen.length - 1]].map(({ x, y }) => view && touchAt(viewport, view, x, y));
    const spec = path.curve as CurveSpec;
    const isDrawn = spec.points.length > 1;
    const changed = isDrawn
      ? view && strokeOn(spec, view, places, { from, to }, tolerance)
      : strokeAlone(places, tolerance);
    session.getState().set({ point: undefined, tool: 'shape' });
    if (!changed) return drawBeside(run, places, tolerance);
    document.getState().edit((project) => changeCurve(project, path.id, () => changed));
    if (isDrawn && changed.kind !== spec.kind) notify('The path has handles now, so that it can follow your stroke.');
  };
  /** What is there is never drawn over: a stroke away from it is a run more. */
  const drawBeside = (like: Run, places: readonly Vec3[], tolerance: number) => {
    const { project, edit } = document.getState();
    const [run, id] = [newId(), newId()];
    const curve = strokeAlone(places, tolerance) as Path['curve'];
    const made = addAlike(project, like.id, run, { id, name: `${freeName(project, like.name)} path`, curve });
    edit(() => made);
    session.getState().set({ run });
    const name = made.runs.find((r) => r.id === run)!.name;
    notify(`A run of its own: ${name}. A stroke that begins at an end of a path makes that path longer.`);
  };
  return { line, start, go, end };
}

function metresPerPixel(viewport: Viewport, places: readonly Vec3[]): number {
  let [metres, pixels] = [0, 0];
  for (let i = 1; i < places.length; i++) {
    const [a, b] = [viewport.toScreen(places[i - 1]), viewport.toScreen(places[i])];
    metres += distance(places[i - 1], places[i]);
    pixels += Math.hypot(a.x - b.x, a.y - b.y);
  }
  return pixels > 0 ? metres / pixels : 0.01;
}
