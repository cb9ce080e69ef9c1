'use client';

import { Box } from '@mui/material';
import { useMemo, useRef, type PointerEvent } from 'react';
import type { FitSpec } from '../../core/layout/fit-registry';
import type { ComputeApi } from '../../engine/compute-api';
import { setCourse, type CourseAt } from '../../project/commands/runs';
import type { Segment } from '../../project/schema';
import { metres } from '../format';
import { useEdit, useGesture } from '../state/app-context';
import { useAnswer } from '../state/use-answer';

type Band = Extract<FitSpec, { kind: 'levelBand' }>;

/** Pixels of the picture. */
const [WIDE, HIGH, EDGE] = [260, 200, 14];

/** The piece seen from the side, with the two heights between which it stays level as lines to drag. */
export function BandPicture({ at, fit, segment }: { at: CourseAt; fit: Band; segment: Segment }) {
  const { source, prepare } = segment;
  const ask = useMemo(
    () => (api: ComputeApi) => api.segment({ source, prepare, finishes: [] }, () => undefined),
    [source, prepare],
  );
  const view = useAnswer(ask);
  const edit = useEdit();
  const gesture = useGesture();
  const dragged = useRef<'low' | 'high'>(undefined);
  const outline = useMemo(() => view && sideOf(view.positions, view.topology.indices), [view]);
  if (!view || !outline) return null;
  const { min, max } = view.box;
  const scale = Math.min((WIDE - 2 * EDGE) / (max[0] - min[0] || 1), (HIGH - 2 * EDGE) / (max[1] - min[1] || 1));
  const left = (WIDE - (max[0] - min[0]) * scale) / 2;
  const y = (height: number) => HIGH - EDGE - (height - min[1]) * scale;
  const put = (event: PointerEvent<SVGGElement>) => {
    if (!dragged.current) return;
    const pixels = event.clientY - event.currentTarget.ownerSVGElement!.getBoundingClientRect().top;
    const height = Number(Math.min(Math.max(min[1] + (HIGH - EDGE - pixels) / scale, min[1]), max[1]).toFixed(3));
    const key = dragged.current;
    edit((project) => setCourse(project, at, { fit: { ...fit, [key]: height } }));
  };
  return (
    <Box
      component="svg"
      role="group"
      aria-label="Level band"
      width={WIDE}
      height={HIGH}
      sx={{ display: 'block', my: 1 }}
    >
      <rect
        x={0}
        width={WIDE}
        y={y(Math.max(fit.low, fit.high))}
        height={Math.abs(fit.high - fit.low) * scale}
        fill="var(--mui-palette-primary-main)"
        fillOpacity={0.1}
      />
      <path
        d={outline}
        transform={`translate(${left - min[0] * scale} ${HIGH - EDGE + min[1] * scale}) scale(${scale} ${-scale})`}
        fill="var(--mui-palette-tokens-cane)"
        fillOpacity={0.75}
      />
      {(['low', 'high'] as const).map((key) => (
        <g
          key={key}
          role="slider"
          tabIndex={0}
          aria-label={key === 'low' ? 'Level from' : 'Level up to'}
          aria-valuemin={min[1]}
          aria-valuemax={max[1]}
          aria-valuenow={fit[key]}
          aria-valuetext={metres(fit[key])}
          style={{ cursor: 'ns-resize', touchAction: 'none' }}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            dragged.current = key;
            gesture.begin();
          }}
          onPointerMove={put}
          onPointerUp={() => {
            dragged.current = undefined;
            gesture.end();
          }}
          onKeyDown={(event) => {
            const by = event.key === 'ArrowUp' ? 0.01 : event.key === 'ArrowDown' ? -0.01 : 0;
            if (by !== 0)
              edit((project) => setCourse(project, at, { fit: { ...fit, [key]: Number((fit[key] + by).toFixed(4)) } }));
          }}
        >
          <rect x={0} width={WIDE} y={y(fit[key]) - 6} height={12} fill="transparent" />
          <line
            x1={0}
            x2={WIDE}
            y1={y(fit[key])}
            y2={y(fit[key])}
            stroke="var(--mui-palette-primary-main)"
            strokeWidth={1.75}
          />
          <text
            x={WIDE - 4}
            y={key === 'low' ? y(fit[key]) + 13 : y(fit[key]) - 4}
            textAnchor="end"
            fontSize={11}
            fill="var(--mui-palette-text-secondary)"
          >
            {metres(fit[key])}
          </text>
        </g>
      ))}
    </Box>
  );
}

/** The triangles of a mesh that look to the viewer, from the side, as one path in metres. Those behind them would undo them. */
function sideOf(p: Float32Array, indices: Uint32Array): string {
  const at = (v: number) => `${p[v * 3].toFixed(4)} ${p[v * 3 + 1].toFixed(4)}`;
  let path = '';
  for (let i = 0; i < indices.length; i += 3) {
    const [a, b, c] = [indices[i], indices[i + 1], indices[i + 2]];
    const [ux, uy] = [p[b * 3] - p[a * 3], p[b * 3 + 1] - p[a * 3 + 1]];
    const [vx, vy] = [p[c * 3] - p[a * 3], p[c * 3 + 1] - p[a * 3 + 1]];
    if (ux * vy - uy * vx > 0) path += `M${at(a)}L${at(b)}L${at(c)}Z`;
  }
  return path;
}
