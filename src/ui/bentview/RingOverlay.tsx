'use client';

import { Box } from '@mui/material';
import { useMemo, useState, type PointerEvent } from 'react';
import { add, dot, scale, sub, type Vec3 } from '../../core/math/vec3';
import { areGaugesOne, type LanePick } from '../../project/commands/lanes';
import type { Run } from '../../project/schema';
import { quantityText } from '../fields/quantity';
import { useCourseView, useGesture, useRun } from '../state/app-context';
import type { CourseView } from '../state/results-store';
import { ringAt, roundOf, turnOf, type Ring } from './ring-geometry';
import { RingLine } from './RingLine';
import { useProjected } from './use-projected';
import { useRing, type RingState } from './use-ring';
import type { Viewport } from './viewport';

/** A ring about the selected run, to be turned for its roll, with two grips for its thickness. */
export function RingOverlay({ viewport }: { viewport: Viewport }) {
  const run = useRun();
  const result = useCourseView();
  return run?.visible && result ? <OwnRing viewport={viewport} run={run} result={result} /> : null;
}

function OwnRing({ viewport, run, result }: { viewport: Viewport; run: Run; result: CourseView }) {
  const state = useRing(run, result);
  if (!state) return null;
  return <Shown {...{ viewport, run, result, state }} />;
}

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

function Shown({
  viewport,
  run,
  result,
  state,
}: {
  viewport: Viewport;
  run: Run;
  result: CourseView;
  state: RingState;
}) {
  const { begin, end } = useGesture();
  const [pull, setPull] = useState<Pull>();
  const { station, totalAt, put } = state;
  const [up, side] = [totalAt('gaugeUp', station), totalAt('gaugeSide', station)];
  const ring = useMemo(() => ringAt(result.path, station, result.segment.box, [up, side]), [result, station, up, side]);
  const round = useMemo(() => roundOf(ring), [ring]);
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
  const hold = (pick: LanePick) => ({
    onPointerDown: (event: PointerEvent<Element>) => start(event, pick),
    onPointerMove: move,
    onPointerUp: letGo,
    onPointerCancel: letGo,
  });
  const areOne = areGaugesOne(run);
  const out = 0.14 * ring.radius;
  const roll = quantityText(Number(totalAt('roll', station).toFixed(4)), 'angle');
  return (
    <>
      <RingLine
        viewport={viewport}
        places={round}
        label={`Roll at this station: ${roll}. Drag to turn`}
        {...hold('roll')}
      />
      <Grip
        viewport={viewport}
        place={add(ring.middle, scale(ring.up, ring.reachUp + out))}
        label={areOne ? `Gauge ${quantityText(up, 'plain')}` : `Gauge up ${quantityText(up, 'plain')}`}
        {...hold(areOne ? 'gauge' : 'gaugeUp')}
      />
      <Grip
        viewport={viewport}
        place={add(ring.middle, scale(ring.side, ring.reachSide + out))}
        label={`Gauge sideways ${quantityText(side, 'plain')}`}
        {...hold('gaugeSide')}
      />
    </>
  );
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

interface GripProps {
  readonly viewport: Viewport;
  readonly place: Vec3;
  readonly label: string;
  readonly onPointerDown: (event: PointerEvent<Element>) => void;
  readonly onPointerMove: (event: PointerEvent<Element>) => void;
  readonly onPointerUp: () => void;
  readonly onPointerCancel: () => void;
}

function Grip({ viewport, place, label, ...handlers }: GripProps) {
  const ref = useProjected<HTMLDivElement>(viewport, place);
  return (
    <Box ref={ref} sx={{ position: 'absolute', left: 0, top: 0 }}>
      <Box
        component="button"
        type="button"
        aria-label={label}
        title={label}
        {...handlers}
        sx={{
          ...{ display: 'block', width: 12, height: 12, p: 0, border: '2px solid', borderRadius: '3px' },
          ...{ borderColor: 'tokens.sky', bgcolor: 'background.paper', cursor: 'move', touchAction: 'none' },
          ...{
            pointerEvents: 'auto',
            position: 'relative',
            '&::after': { content: '""', position: 'absolute', inset: -8 },
          },
        }}
      />
    </Box>
  );
}
