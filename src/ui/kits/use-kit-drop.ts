import { useDndMonitor, type DragMoveEvent } from '@dnd-kit/core';
import { useRef } from 'react';
import type { Vec3 } from '../../core/math/vec3';
import { nearestStation } from '../bentview/nearest-station';
import type { Viewport } from '../bentview/viewport';
import { useApp } from '../state/app-context';
import { kitOf } from './KitDrag';
import { useKitActions } from './use-kit-actions';

/** Pixels within which a kit is dropped onto a path. */
const WITHIN = 60;

/** Lays a kit along the path onto which it is dropped; the one that would be is shown while it is dragged. */
export function useKitDrop(viewport: Viewport, view: () => DOMRect | undefined): void {
  const { results, session, document } = useApp();
  const { lay } = useKitActions();
  const target = useRef<string>(undefined);
  const at = ({ activatorEvent, delta }: DragMoveEvent): string | undefined => {
    const bounds = view();
    const { clientX, clientY } = activatorEvent as PointerEvent;
    if (!bounds) return undefined;
    const [x, y] = [clientX + delta.x - bounds.left, clientY + delta.y - bounds.top];
    if (x < 0 || y < 0 || x > bounds.width || y > bounds.height) return undefined;
    for (let within = WITHIN / 8; within <= WITHIN; within *= 2)
      for (const run of document.getState().project.runs) {
        const result = run.visible && results.getState().results.get(run.id);
        if (result && nearestStation(viewport, result.path, x, y, within) !== undefined) return run.id;
      }
    return undefined;
  };
  const show = (run: string | undefined) => {
    if (target.current === run) return;
    target.current = run;
    const line = run === undefined ? undefined : results.getState().results.get(run)?.path.line;
    const places: Vec3[] = [];
    for (let i = 0; line && i < line.length; i += 3) places.push([line[i], line[i + 1], line[i + 2]]);
    session.getState().set({ hint: places });
  };
  useDndMonitor({
    onDragMove: (event) => kitOf(event.active) && show(at(event)),
    onDragCancel: () => show(undefined),
    onDragEnd: ({ active }) => {
      const kit = kitOf(active);
      const run = document.getState().project.runs.find(({ id }) => id === target.current);
      show(undefined);
      if (kit && run) lay(kit, run.path, true);
    },
  });
}
