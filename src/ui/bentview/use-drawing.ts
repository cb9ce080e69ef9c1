import { enqueueSnackbar } from 'notistack';
import { useRef, useState } from 'react';
import { redrawPart, strokePoints } from '../../core/curve/edit/stroke';
import type { CurveSpec } from '../../core/curve/registry';
import { add, distance, scale, type Vec3 } from '../../core/math/vec3';
import type { PathView } from '../../engine/path-view';
import { changeCurve } from '../../project/commands/paths';
import type { Path } from '../../project/schema';
import { useApp } from '../state/app-context';
import { dragTo } from './drag-plane';
import { nearestStation, placeAt as onPath } from './nearest-station';
import type { Viewport } from './viewport';

/** Pixels: how far the fitted path may lie from the stroke, and how near a stroke must begin and end to redraw a part. */
const FIT = 3;
const NEAR = 14;

/** Drawing by hand: over the guide under the pointer, else on the ground or in the plane of the view. */
export function useDrawing(viewport: Viewport) {
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
    const station = view && nearestStation(viewport, view, x, y, NEAR);
    const place = station === undefined ? placeAt(x, y, level) : onPath(view!, station);
    stroke.current = place && { places: [place], screen: [{ x, y }] };
    setLine(place ? [place] : []);
  };
  const go = (x: number, y: number) => {
    const current = stroke.current;
    if (!current) return;
    const last = current.screen[current.screen.length - 1]!;
    if (Math.hypot(x - last.x, y - last.y) < 2) return;
    const place = placeAt(x, y, current.places[current.places.length - 1]!);
    if (!place) return;
    current.places.push(place);
    current.screen.push({ x, y });
    setLine([...current.places]);
  };
  const end = (path: Path | undefined, view: PathView | undefined) => {
    const current = stroke.current;
    stroke.current = undefined;
    setLine([]);
    if (!path || !current || current.places.length < 3) return;
    const tolerance = metresPerPixel(viewport, current.places) * FIT;
    const [first, last] = [current.screen[0]!, current.screen[current.screen.length - 1]!];
    const near = ({ x, y }: { x: number; y: number }) =>
      view ? nearestStation(viewport, view, x, y, NEAR) : undefined;
    const [from, to] = [near(first), near(last)];
    const isPart = from !== undefined && to !== undefined && view && Math.abs(to - from) > view.length * 1e-3;
    const had = path.curve.points.length;
    document.getState().edit((project) =>
      changeCurve(project, path.id, (spec) => {
        if (!isPart) return drawn(current.places, tolerance);
        const level = levelled(current.places, onPath(view, from)[1], onPath(view, to)[1]);
        return redrawPart(spec, level, from, to, tolerance) ?? drawn(current.places, tolerance);
      }),
    );
    session.getState().set({ point: undefined, tool: 'shape' });
    if (had > 1 && !isPart)
      enqueueSnackbar(
        'The whole path is drawn anew. A stroke that begins and ends on the path redraws that part only.',
        {
          variant: 'info',
        },
      );
  };
  return { line, start, go, end };
}

/** The stroke lifted evenly, so that it begins and ends as high as the path does there. */
function levelled(places: readonly Vec3[], from: number, to: number): readonly Vec3[] {
  const last = places.length - 1;
  const [a, b] = [from - places[0]![1], to - places[last]![1]];
  return places.map(([x, y, z], i): Vec3 => [x, y + a + ((b - a) * i) / last, z]);
}

const drawn = (places: readonly Vec3[], tolerance: number): CurveSpec => ({
  kind: 'handles',
  closed: false,
  points: strokePoints(places, tolerance),
});

function metresPerPixel(viewport: Viewport, places: readonly Vec3[]): number {
  let [metres, pixels] = [0, 0];
  for (let i = 1; i < places.length; i++) {
    const [a, b] = [viewport.toScreen(places[i - 1]!), viewport.toScreen(places[i]!)];
    metres += distance(places[i - 1]!, places[i]!);
    pixels += Math.hypot(a.x - b.x, a.y - b.y);
  }
  return pixels > 0 ? metres / pixels : 0.01;
}
