'use client';

import { useState } from 'react';
import type { Layout } from '../../core/layout/layout';
import type { Course, Run } from '../../project/schema';
import { metres } from '../format';
import { useSession, useSet } from '../state/app-context';
import type { StationScale } from './Lane';
import { PieceFields } from './PieceFields';

/** More blocks than this are drawn as one band. */
const MOST_BLOCKS = 600;

export interface PiecesLaneProps {
  readonly x: StationScale;
  readonly layout: Layout;
  readonly run: Run;
  readonly course: Course;
}

/** Pieces as blocks where they lie: one is chosen by a click, and changed by a double click. */
export function PiecesLane({ x, layout: { placements }, run, course }: PiecesLaneProps) {
  const set = useSet();
  const chosen = useSession((s) => s.piece);
  const [opened, setOpened] = useState<{ piece: number; anchor: Element }>();
  const isBand = placements.length > MOST_BLOCKS;
  const last = placements[placements.length - 1];
  const blocks = isBand
    ? [{ ...placements[0], length: last.station + last.length - placements[0].station }]
    : placements;
  return (
    <>
      {blocks.map(({ piece, station, length, hidden, body, kind }) => {
        const left = x(station);
        const width = Math.max(x(station + length) - left, 0.5);
        const inset = width > 4 ? 0.5 : 0;
        const isChosen = piece === chosen && !isBand;
        const colour = isChosen ? 'var(--mui-palette-primary-main)' : 'var(--mui-palette-tokens-cane)';
        const isOther = body > 0 || kind !== 'body';
        return (
          <rect
            key={piece}
            data-piece={piece}
            x={left + inset}
            y={3}
            width={width - inset * 2}
            height={24}
            rx={Math.min(3, width / 4)}
            fill={colour}
            fillOpacity={hidden ? 0 : isChosen || isOther ? 0.55 : 0.3}
            stroke={colour}
            strokeOpacity={0.75}
            strokeDasharray={hidden ? '3 3' : undefined}
            style={{ cursor: isBand ? 'default' : 'pointer' }}
            onClick={() => !isBand && set({ piece: isChosen ? undefined : piece })}
            onDoubleClick={(event) => !isBand && setOpened({ piece, anchor: event.currentTarget })}
          >
            <title>
              {isBand
                ? `${placements.length} pieces`
                : `Piece ${piece + 1}: ${metres(length)} from station ${metres(station)}. Double click to change it.`}
            </title>
          </rect>
        );
      })}
      {opened && <PieceFields {...{ run, course, ...opened }} onClose={() => setOpened(undefined)} />}
    </>
  );
}
