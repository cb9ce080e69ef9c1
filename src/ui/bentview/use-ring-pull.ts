import { useState, type PointerEvent } from 'react';
import { dot, scale, sub, type Vec3 } from '../../core/math/vec3';
import type { LanePick } from '../../project/commands/lanes';
import { useGesture } from '../state/app-context';
import { turnOf, type Ring } from './ring-geometry';
import type { RingState } from './use-ring';
import type { Viewport } from './viewport';

interface Pull {
  readonly pick: LanePick;
  readonly ring: Ring;
  readonly x: number;
  readonly y: number;
  /** What all came to, and the turn or the distance at which it was taken hold of. */
  readonly total: number;
  readonly held: number | undefined;
}

/** Seen from the side a ring cannot be turned by where the pointer is: then so many radians a pixel. */
const PER_PIXEL = Math.PI / 180;

/** What takes hold of the ring or a grip. */
export interface RingHold {
  readonly onPointerDown: (event: PointerEvent<Element>) => void;
  readonly onPointerMove: (event: PointerEvent<Element>) => void;
  readonly onPointerUp: () => void;
  readonly onPointerCancel: () => void;
}

/** Turns and swells a run by its ring: the handlers of what is pulled for a lane. */
export function useRingPull(
  viewport: Viewport,
  ring: Ring,
  { station, totalAt, put }: RingState,
): (pick: LanePick) => RingHold {
  const { begin, end } = useGesture();
  const [pull, setPull] = useState<Pull>();
  const at = (event: PointerEvent<Element>) => {
    const bounds = event.currentTarget.closest('[data-overlay]')!.getBoundingClientRect();
    return { x: event.clientX - bounds.left, y: event.clientY - bounds.top };
  };
  const turnAt = (own: Ring, x: number, y: number) => {
    const hit = viewport.onPlane(x, y, own.middle, own.forward);
    return hit && turnOf(own, hit);
  };
  const start = (event: PointerEvent<Element>, pick: LanePick) => {
    if (event.button !== 0) return;
    event.stopPropagation();
    event.currentTarget.setPointerCapture(event.pointerId);
    const { x, y } = at(event);
    const held = pick === 'roll' ? turnAt(ring, x, y) : undefined;
    setPull({ pick, ring, x, y, total: totalAt(pick, station), held });
    begin();
  };
  const move = (event: PointerEvent<Element>) => {
    if (!pull) return;
    const { pick, ring: own, total } = pull;
    const { x, y } = at(event);
    if (pick === 'roll') {
      const now = pull.held === undefined ? undefined : turnAt(own, x, y);
      const by = now === undefined ? (x - pull.x) * PER_PIXEL : wrapped(now - pull.held!);
      return put(pick, total + by);
    }
    const axis = pick === 'gaugeUp' || pick === 'gauge' ? own.up : own.side;
    const [from, to] = [pull, { x, y }].map((p) => outAlong(viewport, own.middle, axis, p.x, p.y));
    const reach = axis === own.up ? own.reachUp : own.reachSide;
    if (from === undefined || to === undefined) return;
    put(pick, Math.max((total * (reach + to - from)) / reach, 0.01));
  };
  const letGo = () => {
    if (pull) end();
    setPull(undefined);
  };
  return (pick) => ({
    onPointerDown: (event: PointerEvent<Element>) => start(event, pick),
    onPointerMove: move,
    onPointerUp: letGo,
    onPointerCancel: letGo,
  });
}

/** The smallest turn that is the same. */
const wrapped = (turn: number): number => turn - 2 * Math.PI * Math.round(turn / (2 * Math.PI));

/** Metres along an axis from the ring's middle at which a pixel lies. */
function outAlong(viewport: Viewport, middle: Vec3, axis: Vec3, x: number, y: number): number | undefined {
  const look = viewport.lookingAlong();
  const facing = sub(look, scale(axis, dot(look, axis)));
  const hit = viewport.onPlane(x, y, middle, facing);
  return hit && dot(sub(hit, middle), axis);
}
