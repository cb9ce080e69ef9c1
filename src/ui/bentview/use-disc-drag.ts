import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { add, normalize, scale, sub, type Vec3 } from '../../core/math/vec3';
import { readQuantity } from '../fields/quantity';
import { metres } from '../format';
import { useApp } from '../state/app-context';
import type { ViewName } from '../state/session-store';
import { dragHeld, dragTo } from './drag-plane';
import type { Hold } from './holds';
import type { Viewport } from './viewport';

/** Where the pointer is while it drags. */
export interface DragAt {
  readonly x: number;
  readonly y: number;
  /** The place is exact already: held, or typed. */
  readonly isExact: boolean;
  /** Absent = free. */
  readonly hold?: Hold | undefined;
  /** What was typed while dragging. */
  readonly typed?: string;
}

interface Drag {
  readonly origin: Vec3;
  /** Where it was when the drag began, or last turned from the ground to up and down or back. */
  from: Vec3;
  /** What may hold it, as the path ran when the drag began. */
  readonly holds: readonly Hold[];
  readonly grab: { readonly dx: number; readonly dy: number };
  readonly pressed: { readonly x: number; readonly y: number };
  at: { x: number; y: number; isUpright: boolean };
  typed: string;
  hasMoved: boolean;
}

/** Pixels that a press may move and still be a click. */
const STILL = 3;

export interface DragHandlers {
  readonly move: (to: Vec3, at: DragAt) => void;
  /** What is said beside the disc while it is dragged. Such a disc follows the pointer: what holds and numbers mean to it is its own matter. */
  readonly tell?: (to: Vec3, at: DragAt) => string;
  readonly begin: () => void;
  readonly end: (hasMoved: boolean) => void;
}

/**
 * Dragging a disc over the scene: along the ground or the view, with Shift up and down. Space steps through what holds it, and a number typed
 * while it is dragged is how far it goes. Escape puts it back.
 */
export function useDiscDrag(viewport: Viewport, view: ViewName, place: Vec3, holds: readonly Hold[], on: DragHandlers) {
  const { session } = useApp();
  const drag = useRef<Drag | undefined>(undefined);
  const [held, setHeld] = useState(0);
  const [isDragged, setDragged] = useState(false);
  const [note, setNote] = useState<string>();
  const latest = useRef(place);
  useEffect(() => {
    latest.current = place;
  });
  const pointer = (event: PointerEvent<HTMLElement>) => {
    const bounds = event.currentTarget.closest('[data-overlay]')!.getBoundingClientRect();
    return { x: event.clientX - bounds.left, y: event.clientY - bounds.top };
  };

  const apply = ({ from, grab, at, typed, holds }: Drag, i = held) => {
    const hold = i > 0 ? holds[i] : undefined;
    const [x, y] = [at.x + grab.dx, at.y + grab.dy];
    const free = dragTo(viewport, view, x, y, from, at.isUpright);
    if (on.tell) {
      if (!free) return;
      on.move(free, { x, y, isExact: true, hold, typed });
      return setNote(on.tell(free, { x, y, isExact: true, hold, typed }));
    }
    const to = hold ? dragHeld(viewport, hold, x, y, from) : free;
    let by: Vec3 | undefined = to && sub(to, from);
    const asked = typed === '' ? undefined : readQuantity(typed, 'length');
    if (asked !== undefined) by = scale(hold?.line ?? normalize(by ?? [1, 0, 0]), asked);
    if (!by) return;
    on.move(add(from, by), { x, y, isExact: hold !== undefined || asked !== undefined, hold, typed });
    const far = typed !== '' ? typed : metres(Math.hypot(...by));
    setNote(hold || typed !== '' ? [far, hold?.name].filter(Boolean).join(' ') : undefined);
  };

  const finish = () => {
    const current = drag.current;
    if (!current) return;
    drag.current = undefined;
    setDragged(false);
    session.getState().set({ isDragging: false });
    setNote(undefined);
    on.end(current.hasMoved);
  };

  return {
    note,
    held: Math.min(held, holds.length - 1),
    setHeld,
    isDragged,
    handlers: {
      onPointerDown: (event: PointerEvent<HTMLElement>) => {
        if (event.button !== 0) return;
        event.stopPropagation();
        event.preventDefault(); // the browser marks and drags nothing here
        event.currentTarget.focus();
        event.currentTarget.setPointerCapture(event.pointerId);
        const at = pointer(event);
        const p = viewport.toScreen(place);
        drag.current = {
          origin: place,
          from: place,
          holds,
          grab: { dx: p.x - at.x, dy: p.y - at.y },
          pressed: at,
          at: { ...at, isUpright: event.shiftKey },
          typed: '',
          hasMoved: false,
        };
        setDragged(true);
        session.getState().set({ isDragging: true });
        on.begin();
      },
      onPointerMove: (event: PointerEvent<HTMLElement>) => {
        const current = drag.current;
        if (!current) return;
        const at = pointer(event);
        if (!current.hasMoved && Math.hypot(at.x - current.pressed.x, at.y - current.pressed.y) < STILL) return;
        current.hasMoved = true;
        const isUpright = event.shiftKey && held === 0;
        if (isUpright !== current.at.isUpright) current.from = latest.current;
        current.at = { ...at, isUpright };
        apply(current);
      },
      onPointerUp: finish,
      onPointerCancel: finish,
    },
    /** True when the key was meant for the drag under way. */
    onKey: (event: KeyboardEvent): boolean => {
      const current = drag.current;
      if (!current) return false;
      let next = held;
      if (event.key === ' ') setHeld((next = (held + 1) % holds.length));
      else if (/^[-+*/()\d.,a-z'"]$/i.test(event.key)) current.typed += event.key;
      else if (event.key === 'Backspace') current.typed = current.typed.slice(0, -1);
      else if (event.key === 'Enter') {
        finish();
        return true;
      } else if (event.key === 'Escape') {
        on.move(current.origin, { ...current.at, isExact: true });
        finish();
        return true;
      } else return false;
      current.hasMoved = true;
      apply(current, next);
      return true;
    },
  };
}
