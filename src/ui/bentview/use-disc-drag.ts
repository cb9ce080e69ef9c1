import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { normalize, scale, add, sub, type Vec3 } from '../../core/math/vec3';
import { readQuantity } from '../fields/quantity';
import { metres } from '../format';
import type { ViewName } from '../state/session-store';
import { dragTo } from './drag-plane';
import type { Viewport } from './viewport';

/** Where the pointer is while it drags. */
export interface DragAt {
  readonly x: number;
  readonly y: number;
  /** The place is exact already: held to an axis, or typed. */
  readonly isExact: boolean;
  /** The axis that the drag is held to. */
  readonly axis?: 0 | 1 | 2 | undefined;
  /** Where it would be without the axis and what was typed. */
  readonly free?: Vec3 | undefined;
  /** What was typed while dragging. */
  readonly typed?: string;
}

interface Drag {
  readonly origin: Vec3;
  /** Where it was when the drag began, or last turned from the ground to up and down or back. */
  from: Vec3;
  readonly grab: { readonly dx: number; readonly dy: number };
  readonly pressed: { readonly x: number; readonly y: number };
  at: { x: number; y: number; isUpright: boolean };
  axis: 0 | 1 | 2 | undefined;
  typed: string;
  hasMoved: boolean;
}

const AXES = ['x', 'y', 'z'];
/** Pixels that a press may move and still be a click. */
const STILL = 3;

export interface DragHandlers {
  readonly move: (to: Vec3, at: DragAt) => void;
  /** What is said beside the disc while it is dragged, in place of how far it went. */
  readonly tell?: (to: Vec3, at: DragAt) => string;
  readonly begin: () => void;
  readonly end: (hasMoved: boolean) => void;
}

/**
 * Dragging a disc over the scene: along the ground or the view, with Shift up and down; x, y or z holds it to that axis, and a number typed
 * while it is dragged is how far it goes. Escape puts it back.
 */
export function useDiscDrag(viewport: Viewport, view: ViewName, place: Vec3, on: DragHandlers) {
  const drag = useRef<Drag | undefined>(undefined);
  const [note, setNote] = useState<string>();
  const latest = useRef(place);
  useEffect(() => {
    latest.current = place;
  });
  const pointer = (event: PointerEvent<HTMLElement>) => {
    const bounds = event.currentTarget.parentElement!.getBoundingClientRect();
    return { x: event.clientX - bounds.left, y: event.clientY - bounds.top };
  };

  const apply = ({ from, grab, at, axis, typed }: Drag) => {
    const isUpright = axis === 1 || (axis === undefined && at.isUpright);
    const pointed = dragTo(viewport, view, at.x + grab.dx, at.y + grab.dy, from, isUpright);
    let by: Vec3 | undefined = pointed && sub(pointed, from);
    if (by && axis !== undefined) by = [0, 1, 2].map((c) => (c === axis ? by![c]! : 0)) as unknown as Vec3;
    const asked = typed === '' ? undefined : readQuantity(typed, 'length');
    if (asked !== undefined) {
      const along: Vec3 =
        axis === undefined ? normalize(by ?? [1, 0, 0]) : ([0, 1, 2].map((c) => Number(c === axis)) as unknown as Vec3);
      by = scale(along, asked);
    }
    const isExact = axis !== undefined || asked !== undefined;
    const now: DragAt = { x: at.x + grab.dx, y: at.y + grab.dy, isExact, axis, free: pointed, typed };
    if (by) on.move(add(from, by), now);
    if (by && on.tell) return setNote(on.tell(add(from, by), now));
    const along = axis === undefined ? '' : ` along ${AXES[axis]}`;
    const far = typed !== '' ? typed : metres(by ? Math.hypot(...by) : 0);
    setNote(axis !== undefined || typed !== '' ? `${far}${along}` : undefined);
  };

  const finish = () => {
    const current = drag.current;
    if (!current) return;
    drag.current = undefined;
    setNote(undefined);
    on.end(current.hasMoved);
  };

  return {
    note,
    handlers: {
      onPointerDown: (event: PointerEvent<HTMLElement>) => {
        if (event.button !== 0) return;
        event.stopPropagation();
        event.currentTarget.setPointerCapture(event.pointerId);
        const at = pointer(event);
        const p = viewport.toScreen(place);
        drag.current = {
          origin: place,
          from: place,
          grab: { dx: p.x - at.x, dy: p.y - at.y },
          pressed: at,
          at: { ...at, isUpright: event.shiftKey },
          axis: undefined,
          typed: '',
          hasMoved: false,
        };
        on.begin();
      },
      onPointerMove: (event: PointerEvent<HTMLElement>) => {
        const current = drag.current;
        if (!current) return;
        const at = pointer(event);
        if (!current.hasMoved && Math.hypot(at.x - current.pressed.x, at.y - current.pressed.y) < STILL) return;
        current.hasMoved = true;
        if (event.shiftKey !== current.at.isUpright) current.from = latest.current;
        current.at = { ...at, isUpright: event.shiftKey };
        apply(current);
      },
      onPointerUp: finish,
      onPointerCancel: finish,
    },
    /** True when the key was meant for the drag under way. */
    onKey: (event: KeyboardEvent): boolean => {
      const current = drag.current;
      if (!current) return false;
      const axis = AXES.indexOf(event.key.toLowerCase());
      if (axis >= 0) current.axis = current.axis === axis ? undefined : (axis as 0 | 1 | 2);
      else if (/^[-\d.,a-z'" ]$/i.test(event.key)) current.typed += event.key;
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
      apply(current);
      return true;
    },
  };
}
