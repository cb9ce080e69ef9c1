import { useCallback, useRef, useState, type PointerEvent } from 'react';
import type { Vec3 } from '../../core/math/vec3';
import type { Box } from '../../core/mesh/box';
import { insertPoint } from '../../project/commands/paths';
import type { Path } from '../../project/schema';
import { useApp, useRun, useRunResult, useSession } from '../state/app-context';
import { chosenPoints } from '../state/session-store';
import { dragTo } from './drag-plane';
import { nearestStation } from './nearest-station';
import { snap } from './snap';
import { useDrawing } from './use-drawing';
import { usePen } from './use-pen';
import type { Viewport } from './viewport';

/** Pixels within which a click means the path, and that a press may move and still be a click. */
const NEAR = 9;
const STILL = 4;

interface Place {
  readonly x: number;
  readonly y: number;
}

/** What the pointer does over the scene where there is no point: pen, freehand, box, ruler, insert, choose a run, tell the station. */
export function useViewPointer(viewport: Viewport, path: Path | undefined, segmentBox: Box | undefined) {
  const { document, session } = useApp();
  const run = useRun();
  const view = useSession((s) => s.view);
  const tool = useSession((s) => s.tool);
  const selected = useSession((s) => s.point);
  const result = useRunResult(run?.id);
  const pressed = useRef<Place | undefined>(undefined);
  const [pointed, setPointed] = useState<Vec3>();
  const [box, setBox] = useState<{ readonly from: Place; readonly to: Place }>();
  const drawing = useDrawing(viewport);

  const points = path?.curve.points ?? [];
  const level = points[selected === 0 ? 0 : points.length - 1]?.position;
  const at = (event: PointerEvent<HTMLElement>): Place => {
    const bounds = event.currentTarget.getBoundingClientRect();
    return { x: event.clientX - bounds.left, y: event.clientY - bounds.top };
  };
  /** Where the pen or the ruler is: on what it catches, else on the ground or in the view's plane. */
  const placeAt = useCallback(
    ({ x, y }: Place, isClick = false): Vec3 | undefined => {
      const free = dragTo(viewport, view, x, y, level ?? [0, 0, 0], false);
      const { project } = document.getState();
      const { snapping } = session.getState();
      const on = free && snap(free, { viewport, project, snapping, path: path?.id ?? '', chosen: [], x, y });
      // A run's mesh is asked for a click only: that is too slow for every move.
      if (!isClick || tool !== 'ruler' || (on?.on && on.on !== 'grid')) return on?.place;
      return viewport.surfaceAt(x, y)?.place ?? on?.place;
    },
    [document, session, viewport, view, level, path?.id, tool],
  );
  const pen = usePen(viewport, path, segmentBox, placeAt);

  const insert = (station: number) => {
    const inserted = insertPoint(document.getState().project, path!.id, station);
    document.getState().edit(() => inserted.project);
    if (inserted.point >= 0) session.getState().set({ point: inserted.point, guide: undefined });
  };
  const chooseWithin = (from: Place, to: Place, isMore: boolean) => {
    const isWithin = (place: Vec3) => {
      const { x, y, isAhead } = viewport.toScreen(place);
      return isAhead && (x - from.x) * (x - to.x) <= 0 && (y - from.y) * (y - to.y) <= 0;
    };
    const inside = points.flatMap(({ position }, i) => (isWithin(position) ? [i] : []));
    const before = isMore ? chosenPoints(session.getState()) : [];
    const [point, ...more] = [...new Set([...before, ...inside])];
    session.getState().set({ point, more, guide: undefined });
  };
  const click = ({ x, y }: Place) => {
    if (tool === 'pen') return pen.click({ x, y });
    if (tool === 'ruler') {
      const to = placeAt({ x, y }, true);
      const { ruler } = session.getState();
      if (to) session.getState().set({ ruler: ruler.length === 1 ? [ruler[0], to] : [to] });
      return;
    }
    const station = path && result ? nearestStation(viewport, result.path, x, y, NEAR) : undefined;
    if (station !== undefined && tool === 'ring') return session.getState().set({ ring: station, laneKeys: [] });
    if (station !== undefined) return insert(station);
    const other = viewport.runAt(x, y);
    if (other) session.getState().set(other === run?.id ? none : { ...none, run: other });
    else session.getState().set({ ...none, guide: viewport.guideAt(x, y, { scenery: false })?.id });
  };

  return {
    pen,
    rulerAt: tool === 'ruler' ? pointed : undefined,
    stroke: drawing.line,
    box,
    handlers: {
      onPointerDown: (event: PointerEvent<HTMLElement>) => {
        // Buttons and notes lie over the scene: only a press on the scene itself means it.
        const isScene = (event.target as HTMLElement).tagName === 'CANVAS';
        pressed.current = event.button === 0 && isScene ? at(event) : undefined;
        if (!pressed.current) return;
        if (tool === 'freehand' || tool === 'choose') event.currentTarget.setPointerCapture(event.pointerId);
        if (tool === 'freehand') drawing.start(pressed.current.x, pressed.current.y, level ?? [0, 0, 0], result?.path);
      },
      onPointerMove: (event: PointerEvent<HTMLElement>) => {
        const { x, y } = at(event);
        if (tool === 'pen') pen.move({ x, y, isMark: false });
        if (tool === 'ruler') setPointed(placeAt({ x, y }));
        if (pressed.current && tool === 'freehand') drawing.go(x, y);
        if (pressed.current && tool === 'choose') setBox({ from: pressed.current, to: { x, y } });
        if (event.buttons !== 0) return;
        const station = result && nearestStation(viewport, result.path, x, y, NEAR * 1.6);
        if (station !== session.getState().station) session.getState().set({ station });
      },
      onPointerLeave: () => {
        session.getState().set({ station: undefined });
        setPointed(undefined);
        if (!pen.at?.isMark) pen.move(undefined);
      },
      onPointerUp: (event: PointerEvent<HTMLElement>) => {
        const from = pressed.current;
        pressed.current = undefined;
        setBox(undefined);
        if (!from) return;
        const to = at(event);
        if (tool === 'freehand') return drawing.end(run, path, result?.path);
        const isClick = Math.hypot(to.x - from.x, to.y - from.y) <= STILL;
        if (tool === 'choose' && !isClick) chooseWithin(from, to, event.ctrlKey || event.metaKey);
        else if (isClick) click(to);
      },
    },
  };
}

const none = { point: undefined, guide: undefined } as const;
