'use client';

import { Box } from '@mui/material';
import { useEffect, useRef } from 'react';
import type { Vec3 } from '../../core/math/vec3';
import { metres, radius } from '../format';
import { ScenePolyline } from './ScenePolyline';
import { useProjected } from './use-projected';
import type { Pen } from './use-pen';
import type { Viewport } from './viewport';

/** What the pen is about to draw: the curve, what a segment covers at the pointer, and the numbers that come out. */
export function PenOverlay({ viewport, pen }: { viewport: Viewport; pen: Pen }) {
  const { place, preview, footprint, at } = pen;
  if (!place) return null;
  const isTight = preview !== undefined && preview.radius < preview.needed;
  return (
    <>
      {preview && <ScenePolyline viewport={viewport} places={preview.line} isDashed />}
      <Footprint viewport={viewport} corners={footprint} isTight={isTight} />
      {at?.isMark && <Mark at={at} />}
      <PenNote viewport={viewport} place={place} preview={preview} isTight={isTight} />
    </>
  );
}

function Footprint({ viewport, corners, isTight }: { viewport: Viewport; corners: readonly Vec3[]; isTight: boolean }) {
  const ref = useRef<SVGPolygonElement>(null);
  useEffect(
    () =>
      viewport.onFrame(() => {
        const shown = corners.map((corner) => viewport.toScreen(corner));
        const text = shown.every(({ isAhead }) => isAhead)
          ? shown.map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`)
          : [];
        ref.current?.setAttribute('points', text.join(' '));
      }),
    [viewport, corners],
  );
  const colour = `var(--mui-palette-${isTight ? 'error' : 'primary'}-main)`;
  return (
    <svg aria-hidden style={{ position: 'absolute', inset: 0, width: '100%', height: '100%', pointerEvents: 'none' }}>
      <polygon ref={ref} fill={colour} fillOpacity={0.14} stroke={colour} strokeWidth={1.25} />
    </svg>
  );
}

/** Where the next point goes when Enter is pressed. */
function Mark({ at }: { at: { readonly x: number; readonly y: number } }) {
  return (
    <svg
      role="img"
      aria-label="Place mark"
      width={33}
      height={33}
      viewBox="-16.5 -16.5 33 33"
      style={{ position: 'absolute', left: at.x - 16.5, top: at.y - 16.5, pointerEvents: 'none' }}
    >
      <path
        d="M-16 0H-5M5 0H16M0-16V-5M0 5V16"
        stroke="var(--mui-palette-primary-main)"
        strokeWidth={2}
        strokeLinecap="round"
      />
    </svg>
  );
}

/** Pixels that the note may take. */
const NOTE_WIDTH = 420;

function PenNote({
  viewport,
  place,
  preview,
  isTight,
}: {
  viewport: Viewport;
  place: Vec3;
  preview: Pen['preview'];
  isTight: boolean;
}) {
  const ref = useProjected<HTMLDivElement>(viewport, place);
  const isNearEdge = viewport.toScreen(place).x > viewport.size.width - NOTE_WIDTH;
  const numbers = preview
    ? `leg ${metres(preview.leg)} · total ${metres(preview.total)} · radius ${preview.radius === 0 ? 'a sharp corner' : radius(preview.radius)}`
    : `x ${metres(place[0])} · up ${metres(place[1])} · z ${metres(place[2])}`;
  return (
    <Box ref={ref} sx={{ position: 'absolute', left: 0, top: 0, width: 0, height: 0, pointerEvents: 'none' }}>
      <Box
        role="status"
        aria-label="Pen"
        sx={{
          position: 'absolute',
          ...(isNearEdge ? { right: 16 } : { left: 16 }),
          top: 18,
          px: 2,
          py: 0.5,
          borderRadius: 1,
          bgcolor: isTight ? 'error.main' : 'secondary.main',
          color: 'background.paper',
          fontSize: 12,
          whiteSpace: 'nowrap',
        }}
      >
        {numbers}
        {isTight && <b> · too tight, it needs {radius(preview!.needed)}</b>}
      </Box>
    </Box>
  );
}
