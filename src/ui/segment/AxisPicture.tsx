'use client';

import { useTheme } from '@mui/material';
import type { Axis } from '../../core/segment/segment-spec';

/** Where each of the file's directions points in the little picture: x to the right and down, z to the left and down, y up. */
const WAYS: Readonly<Record<Axis, readonly [number, number]>> = {
  '+x': [12, 7],
  '-x': [-12, -7],
  '+y': [0, -14],
  '-y': [0, 14],
  '+z': [-12, 7],
  '-z': [12, -7],
};

/** A small picture of a box with an arrow out of it along one of its directions. */
export function AxisPicture({ axis }: { axis: Axis }) {
  const { tokens } = useTheme().vars!.palette;
  const [dx, dy] = WAYS[axis];
  const [x, y] = [20 + dx, 20 + dy];
  const angle = (Math.atan2(dy, dx) * 180) / Math.PI;
  return (
    <svg width={40} height={40} aria-hidden>
      <path d="M20 13l7 4v7l-7 4l-7-4v-7z" fill={tokens.paper} stroke={tokens.soft} strokeWidth={1} />
      <path d="M13 17l7 4l7-4M20 21v7" fill="none" stroke={tokens.soft} strokeWidth={1} />
      <line x1={20} y1={20} x2={x} y2={y} stroke={tokens.leaf} strokeWidth={2.5} />
      <path
        d="M0 0l-6-3.5v7z"
        fill={tokens.leaf}
        transform={`translate(${x + dx * 0.25} ${y + dy * 0.25}) rotate(${angle})`}
      />
    </svg>
  );
}
