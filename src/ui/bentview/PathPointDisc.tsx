'use client';

import { Box } from '@mui/material';
import { useEffect, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Vec3 } from '../../core/math/vec3';
import type { ViewName } from '../state/session-store';
import { dragTo } from './drag-plane';
import { useProjected } from './use-projected';
import type { Viewport } from './viewport';

export interface PathPointDiscProps {
  readonly viewport: Viewport;
  readonly view: ViewName;
  readonly label: string;
  readonly place: Vec3;
  readonly shape: 'point' | 'handle';
  readonly isSelected: boolean;
  readonly on: {
    readonly select: () => void;
    readonly move: (to: Vec3) => void;
    readonly begin: () => void;
    readonly end: () => void;
    readonly remove?: () => void;
  };
}

/** Metres that an arrow key moves a point. */
const NUDGE = 0.1;

/** A point or handle over the scene that can be dragged, and moved by keys when it has the focus. */
export function PathPointDisc({ viewport, view, label, place, shape, isSelected, on }: PathPointDiscProps) {
  const ref = useProjected<HTMLButtonElement>(viewport, place);
  const grab = useRef<{ dx: number; dy: number } | undefined>(undefined);
  const latest = useRef(place);
  useEffect(() => {
    latest.current = place;
  });

  const pointer = (event: PointerEvent<HTMLElement>) => {
    const bounds = event.currentTarget.parentElement!.getBoundingClientRect();
    return { x: event.clientX - bounds.left, y: event.clientY - bounds.top };
  };
  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    if (event.button !== 0) return;
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    const at = pointer(event);
    const p = viewport.toScreen(place);
    grab.current = { dx: p.x - at.x, dy: p.y - at.y };
    on.select();
    on.begin();
  };
  const onPointerMove = (event: PointerEvent<HTMLElement>) => {
    if (!grab.current) return;
    const at = pointer(event);
    const to = dragTo(viewport, view, at.x + grab.current.dx, at.y + grab.current.dy, latest.current, event.shiftKey);
    if (to) on.move(to);
  };
  const onPointerUp = () => {
    if (!grab.current) return;
    grab.current = undefined;
    on.end();
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const by = nudge(event.key, event.shiftKey);
    if (by) on.move([place[0] + by[0], place[1] + by[1], place[2] + by[2]]);
    else if ((event.key === 'Delete' || event.key === 'Backspace') && on.remove) on.remove();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };

  const size = shape === 'point' ? 14 : 10;
  return (
    <Box
      component="button"
      type="button"
      ref={ref}
      aria-label={label}
      aria-pressed={isSelected}
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={onPointerUp}
      onPointerCancel={onPointerUp}
      onFocus={on.select}
      onKeyDown={onKeyDown}
      sx={{
        position: 'absolute',
        left: 0,
        top: 0,
        width: size,
        height: size,
        p: 0,
        border: '2px solid',
        borderColor: 'primary.main',
        borderRadius: shape === 'point' ? '50%' : '2px',
        bgcolor: isSelected ? 'primary.main' : 'background.paper',
        cursor: 'grab',
        touchAction: 'none',
        pointerEvents: 'auto',
        '&::after': { content: '""', position: 'absolute', inset: -8 },
        '&:active': { cursor: 'grabbing' },
      }}
    />
  );
}

function nudge(key: string, isUpright: boolean): Vec3 | undefined {
  if (key === 'ArrowLeft') return [-NUDGE, 0, 0];
  if (key === 'ArrowRight') return [NUDGE, 0, 0];
  if (key === 'ArrowUp') return isUpright ? [0, NUDGE, 0] : [0, 0, -NUDGE];
  if (key === 'ArrowDown') return isUpright ? [0, -NUDGE, 0] : [0, 0, NUDGE];
  return undefined;
}
