import { useRef, useState, type PointerEvent } from 'react';
import type { Vec3 } from '../../core/math/vec3';
import { extend, insertPoint } from '../../project/commands/paths';
import type { Path } from '../../project/schema';
import { useApp, useRun, useRunResult, useSession } from '../state/app-context';
import { dragTo } from './drag-plane';
import { nearestStation } from './nearest-station';
import type { Viewport } from './viewport';

/** Pixels within which a click means the path, and that a press may move and still be a click. */
const NEAR = 9;
const STILL = 4;

/** What the pointer does over the scene where there is no point: pen, insert, choose a run, tell the station. */
export function useViewPointer(viewport: Viewport, path: Path | undefined) {
  const { document, session } = useApp();
  const run = useRun();
  const view = useSession((s) => s.view);
  const tool = useSession((s) => s.tool);
  const selected = useSession((s) => s.point);
  const result = useRunResult(run?.id);
  const pressed = useRef<{ x: number; y: number } | undefined>(undefined);
  const [penAt, setPenAt] = useState<Vec3>();

  const points = path?.curve.points ?? [];
  const penEnd = selected === 0 && points.length > 1 ? ('start' as const) : ('end' as const);
  const penFrom = points[penEnd === 'start' ? 0 : points.length - 1]?.position;
  const at = (event: PointerEvent<HTMLElement>) => {
    const bounds = event.currentTarget.getBoundingClientRect();
    return { x: event.clientX - bounds.left, y: event.clientY - bounds.top };
  };
  const penPlace = (x: number, y: number) => dragTo(viewport, view, x, y, penFrom ?? [0, 0, 0], false);

  const draw = (to: Vec3) => {
    document.getState().edit((project) => extend(project, path!.id, penEnd, to));
    session.getState().set({ point: penEnd === 'start' ? 0 : points.length });
  };
  const insert = (station: number) => {
    const inserted = insertPoint(document.getState().project, path!.id, station);
    document.getState().edit(() => inserted.project);
    if (inserted.point >= 0) session.getState().set({ point: inserted.point });
  };

  return {
    penFrom: tool === 'pen' ? penFrom : undefined,
    penAt: tool === 'pen' ? penAt : undefined,
    handlers: {
      onPointerDown: (event: PointerEvent<HTMLElement>) => {
        // Buttons and notes lie over the scene: only a press on the scene itself means it.
        const isScene = (event.target as HTMLElement).tagName === 'CANVAS';
        pressed.current = event.button === 0 && isScene ? at(event) : undefined;
      },
      onPointerMove: (event: PointerEvent<HTMLElement>) => {
        const { x, y } = at(event);
        if (tool === 'pen') setPenAt(penPlace(x, y));
        if (event.buttons !== 0) return;
        const station = result && nearestStation(viewport, result.view.path, x, y, NEAR * 1.6);
        if (station !== session.getState().station) session.getState().set({ station });
      },
      onPointerLeave: () => {
        session.getState().set({ station: undefined });
        setPenAt(undefined);
      },
      onPointerUp: (event: PointerEvent<HTMLElement>) => {
        const from = pressed.current;
        pressed.current = undefined;
        const { x, y } = at(event);
        if (!from || Math.hypot(x - from.x, y - from.y) > STILL) return;
        if (tool === 'pen' && path) {
          const to = penPlace(x, y);
          if (to) draw(to);
          return;
        }
        const station = path && result ? nearestStation(viewport, result.view.path, x, y, NEAR) : undefined;
        if (station !== undefined) return insert(station);
        const other = viewport.runAt(x, y);
        session.getState().set(other && other !== run?.id ? { run: other, point: undefined } : { point: undefined });
      },
    },
  };
}
