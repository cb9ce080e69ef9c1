'use client';

import { Box, useTheme } from '@mui/material';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { SectionPoint } from '../../core/segment/extrude';
import { toOutline, type CrossSection } from '../../core/segment/cross-section';
import { deleteCorner, insertCorner, moveCorner } from '../../core/segment/edit-section';
import { useGesture } from '../state/app-context';
import { fitSection, SHEET, type SectionScales } from './fit-section';
import { SectionRulers } from './SectionRulers';

export interface SectionDrawingProps {
  readonly spec: CrossSection;
  /** A profile: the path runs from left to right. */
  readonly isTurned: boolean;
  readonly corner: number | undefined;
  readonly onCorner: (corner: number | undefined) => void;
  readonly onChange: (next: CrossSection) => void;
}

const FINE = { smooth: 1e-4, detail: 'fine' } as const;

/** The outline as it is seen along the path, with its corners to drag. */
export function SectionDrawing({ spec, isTurned, corner, onCorner, onChange }: SectionDrawingProps) {
  const { tokens } = useTheme().vars!.palette;
  const gesture = useGesture();
  const svg = useRef<SVGSVGElement>(null);
  const [held, setHeld] = useState<SectionScales>(); // while a corner is dragged, the sheet stays where it is
  const { outline, strips } = toOutline(spec, FINE);
  const below = isTurned ? outline.map(([z, h]): SectionPoint => [z, -h]) : [];
  const drawn = [...outline, ...below];
  const scales = held ?? fitSection(drawn);
  const { x, y } = scales;
  const at = (event: PointerEvent) => {
    const box = svg.current!.getBoundingClientRect();
    const [px, py] = [event.clientX - box.left, event.clientY - box.top];
    return [snap(x.invert(px)), snap(y.invert(py))] as const;
  };
  const grab = (event: PointerEvent, i: number) => {
    event.stopPropagation();
    (event.target as Element).setPointerCapture(event.pointerId);
    setHeld(scales);
    gesture.begin();
    onCorner(i);
  };
  const drop = () => {
    if (held) gesture.end();
    setHeld(undefined);
  };
  const onKey = (event: KeyboardEvent, i: number) => {
    const step = event.shiftKey ? 0.05 : 0.005;
    const by = { ArrowLeft: [-step, 0], ArrowRight: [step, 0], ArrowUp: [0, step], ArrowDown: [0, -step] }[event.key];
    if (event.key === 'Delete' || event.key === 'Backspace') {
      onChange(deleteCorner(spec, i));
      onCorner(undefined);
    } else if (by) onChange(moveCorner(spec, i, round(spec.corners[i].z + by[0]), round(spec.corners[i].y + by[1])));
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const line = (points: readonly SectionPoint[]) =>
    points.map(([z, h], i) => `${i === 0 ? 'M' : 'L'}${x(z)},${y(h)}`).join('');
  const path = line(outline) + (spec.closed ? 'Z' : '');
  const body = isTurned ? `${line([...outline, ...below.toReversed()])}Z` : path;
  return (
    <Box
      component="svg"
      ref={svg}
      width={SHEET.width}
      height={SHEET.height}
      role="group"
      aria-label="Outline"
      sx={{
        display: 'block',
        bgcolor: 'background.default',
        borderRadius: 1,
        border: '1px solid',
        borderColor: 'divider',
        touchAction: 'none',
      }}
      onPointerMove={(event) => held && corner !== undefined && onChange(moveCorner(spec, corner, ...at(event)))}
      onPointerUp={drop}
      onPointerCancel={drop}
      onPointerDown={() => onCorner(undefined)}
    >
      <SectionRulers scales={scales} outline={drawn} isTurned={isTurned} />
      <path d={body} fill={spec.closed || isTurned ? tokens.leafWash : 'none'} opacity={0.7} />
      {strips.map(({ material }, i) => {
        const [a, b] = [outline[i], outline[(i + 1) % outline.length]];
        const colour = spec.strips[Number(material)]?.colour;
        return (
          <line
            key={i}
            x1={x(a[0])}
            y1={y(a[1])}
            x2={x(b[0])}
            y2={y(b[1])}
            stroke={colour}
            strokeWidth={5}
            strokeLinecap="round"
          />
        );
      })}
      <path d={path} fill="none" stroke={tokens.ink} strokeWidth={1} />
      {spec.corners.map((c, i) => {
        const next = spec.corners[(i + 1) % spec.corners.length];
        const hasEdge = i + 1 < spec.corners.length || (spec.closed && !spec.mirrored);
        const middle = [(c.z + next.z) / 2, (c.y + next.y) / 2] as const;
        return (
          hasEdge && (
            <line
              key={`edge ${i}`}
              x1={x(c.z)}
              y1={y(c.y)}
              x2={x(next.z)}
              y2={y(next.y)}
              stroke="transparent"
              strokeWidth={12}
              cursor="copy"
              onPointerDown={(event) => {
                const [z, h] = (c.bulge ?? 0) === 0 ? at(event) : middle;
                onChange(insertCorner(spec, i, z, h));
                grab(event, i + 1);
              }}
            />
          )
        );
      })}
      {spec.corners.map((c, i) => (
        <circle
          key={i}
          cx={x(c.z)}
          cy={y(c.y)}
          r={i === corner ? 7 : 6}
          fill={i === corner ? tokens.leaf : tokens.sheet}
          stroke={tokens.leaf}
          strokeWidth={2}
          cursor="grab"
          role="button"
          tabIndex={0}
          aria-label={`Corner ${i + 1}`}
          aria-pressed={i === corner}
          onFocus={() => onCorner(i)}
          onPointerDown={(event) => grab(event, i)}
          onKeyDown={(event) => onKey(event, i)}
        />
      ))}
    </Box>
  );
}

/** To a millimetre. */
const snap = (v: number): number => Math.round(v * 1000) / 1000;
const round = (v: number): number => Number(v.toFixed(6));
