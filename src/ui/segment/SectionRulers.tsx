'use client';

import { useTheme } from '@mui/material';
import type { SectionPoint } from '../../core/segment/extrude';
import { metres } from '../format';
import { SHEET, type SectionScales } from './fit-section';

/** A quiet grid, the path through its middle, and the outline's width and height. */
export function SectionRulers({
  scales: { x, y },
  outline,
  isTurned,
}: {
  scales: SectionScales;
  outline: readonly SectionPoint[];
  isTurned: boolean;
}) {
  const { tokens } = useTheme().vars!.palette;
  const { width, height } = SHEET;
  const zs = outline.map(([z]) => z);
  const ys = outline.map(([, h]) => h);
  const [z0, z1, y0, y1] = [Math.min(...zs), Math.max(...zs), Math.min(...ys), Math.max(...ys)];
  const text = { fill: tokens.soft, fontSize: 12, textAnchor: 'middle' as const };
  const [low, right] = [y(y0) + 26, x(z1) + 26];
  return (
    <g>
      {x.ticks(8).map((z) => (
        <line key={`x${z}`} x1={x(z)} x2={x(z)} y1={0} y2={height} stroke={tokens.line} strokeWidth={0.5} />
      ))}
      {y.ticks(6).map((h) => (
        <line key={`y${h}`} x1={0} x2={width} y1={y(h)} y2={y(h)} stroke={tokens.line} strokeWidth={0.5} />
      ))}
      <line
        x1={isTurned ? 0 : x(0) - 9}
        x2={isTurned ? width : x(0) + 9}
        y1={y(0)}
        y2={y(0)}
        stroke={tokens.leaf}
        strokeWidth={1.5}
      />
      {!isTurned && <line x1={x(0)} x2={x(0)} y1={y(0) - 9} y2={y(0) + 9} stroke={tokens.leaf} strokeWidth={1.5} />}
      <text x={isTurned ? 8 : x(0) + 12} y={y(0) - 6} fill={tokens.leaf} fontSize={12}>
        path
      </text>
      <path d={`M${x(z0)},${low - 4}v8m0,-4H${x(z1)}m0,-4v8`} stroke={tokens.soft} fill="none" />
      <text x={(x(z0) + x(z1)) / 2} y={low + 16} {...text}>
        {metres(z1 - z0)} {isTurned ? 'long' : 'wide'}
      </text>
      <path d={`M${right - 4},${y(y1)}h8m-4,0V${y(y0)}m-4,0h8`} stroke={tokens.soft} fill="none" />
      <text {...text} transform={`translate(${right + 16},${(y(y0) + y(y1)) / 2}) rotate(-90)`}>
        {metres(y1 - y0)} {isTurned ? 'thick' : 'high'}
      </text>
    </g>
  );
}
