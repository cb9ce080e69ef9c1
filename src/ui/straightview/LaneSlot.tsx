'use client';

import MoreVertRounded from '@mui/icons-material/MoreVertRounded';
import { Box, ButtonBase } from '@mui/material';
import { useId, useRef, type ReactNode } from 'react';
import { useStore } from 'zustand';
import { useApp } from '../state/app-context';
import { laneKind, type LaneKindName } from './lane-kinds';

export interface LaneSlotProps {
  readonly kind: LaneKindName;
  readonly top: number;
  readonly height: number;
  /** Pixels at the left for its name, and of the whole drawing. */
  readonly room: number;
  readonly width: number;
  readonly onMenu: (anchor: Element) => void;
  readonly children: ReactNode;
}

/** Pixels that handles may stand out to the left. */
const AROUND = 8;
/** Pixels that stay free at the right. */
export const MARGIN = 24;

/** One lane of the straight view: its name, which opens its menu, and an edge by which it is drawn taller. */
export function LaneSlot({ kind, top, height, room, width, onMenu, children }: LaneSlotProps) {
  const { lanes } = useApp();
  const setHeight = useStore(lanes, (s) => s.setHeight);
  const clip = useId();
  const grip = useRef<number>(undefined);
  const { label } = laneKind(kind);
  return (
    <g transform={`translate(0 ${top})`}>
      <foreignObject x={6} y={0} width={room - 8} height={height}>
        <Box sx={{ display: 'flex', alignItems: 'center', height: '100%' }}>
          <ButtonBase
            aria-label={`${label}: lane`}
            aria-haspopup="menu"
            onClick={(event) => onMenu(event.currentTarget)}
            sx={{
              ...{ width: '100%', height: 22, px: 2, borderRadius: 1, fontSize: 12, color: 'text.secondary' },
              ...{ justifyContent: 'space-between', textAlign: 'left', lineHeight: 1 },
              '& svg': { fontSize: 14, opacity: 0 },
              '&:hover svg, &:focus-visible svg': { opacity: 1 },
            }}
          >
            {label}
            <MoreVertRounded />
          </ButtonBase>
        </Box>
      </foreignObject>
      <clipPath id={clip}>
        <rect x={room - AROUND} width={width - room - MARGIN + 2 * AROUND} height={height} />
      </clipPath>
      <g clipPath={`url(#${clip})`}>{children}</g>
      <rect
        y={height - 3}
        width={room}
        height={6}
        fill="transparent"
        style={{ cursor: 'ns-resize', touchAction: 'none' }}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          grip.current = event.clientY - height;
        }}
        onPointerMove={(event) => grip.current !== undefined && setHeight(kind, event.clientY - grip.current)}
        onPointerUp={() => (grip.current = undefined)}
      >
        <title>Drag to draw this lane taller</title>
      </rect>
    </g>
  );
}
