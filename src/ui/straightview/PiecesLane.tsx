'use client';

import type { ScaleLinear } from 'd3-scale';
import { useState } from 'react';
import type { Layout } from '../../core/layout/layout';
import type { Course, Run } from '../../project/schema';
import { metres } from '../format';
import { useEdit, useSession, useSet } from '../state/app-context';
import { RowMenu, type MenuPlace } from '../ticket/RowMenu';
import { pieceMenu } from './piece-menu';
import { PieceFields } from './PieceFields';
import { seenOf } from './seen-of';
import { usePieceDrag } from './use-piece-drag';

/** More blocks than this in sight are drawn as one band. */
const MOST_BLOCKS = 240;

export interface PiecesLaneProps {
  readonly x: ScaleLinear<number, number>;
  readonly layout: Layout;
  readonly run: Run;
  readonly course: Course;
  readonly height: number;
}

/** Pieces as blocks where they lie: one is chosen by a click, changed by a double click, and moved along by pulling one that is chosen. */
export function PiecesLane({ x, layout: { placements }, run, course, height }: PiecesLaneProps) {
  const set = useSet();
  const chosen = useSession((s) => s.piece);
  const [opened, setOpened] = useState<{ piece: number; anchor: Element }>();
  const [menu, setMenu] = useState<{ piece: number; place: MenuPlace }>();
  const edit = useEdit();
  const drag = usePieceDrag(run, course, x);
  const seen = seenOf(placements, x);
  const isBand = seen.length > MOST_BLOCKS;
  const last = seen[seen.length - 1];
  const blocks = isBand ? [{ ...seen[0], length: last.station + last.length - seen[0].station }] : seen;
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
            width={Math.max(width - inset * 2, 0.3)}
            height={height - 8}
            rx={Math.min(3, width / 4)}
            fill={colour}
            fillOpacity={hidden ? 0 : isChosen || isOther ? 0.55 : 0.3}
            stroke={colour}
            strokeOpacity={0.75}
            strokeDasharray={hidden ? '3 3' : undefined}
            style={{ cursor: isBand ? 'default' : isChosen ? 'ew-resize' : 'pointer', touchAction: 'none' }}
            onPointerDown={(event) => isChosen && drag.start(event, piece)}
            onPointerMove={drag.move}
            onPointerUp={drag.end}
            onClick={() => !isBand && !drag.hasMoved() && set({ piece: isChosen ? undefined : piece })}
            onContextMenu={(event) => {
              event.preventDefault();
              if (!isBand) setMenu({ piece, place: { x: event.clientX, y: event.clientY } });
            }}
            onDoubleClick={(event) => !isBand && setOpened({ piece, anchor: event.currentTarget })}
          >
            <title>
              {isBand
                ? `${seen.length} pieces; zoom in to see each`
                : `Piece ${piece + 1}: ${metres(length)} from station ${metres(station)}. Double click to change it.`}
            </title>
          </rect>
        );
      })}
      {isBand && <BandMarks seen={seen} x={x} height={height} />}
      {menu && (
        <RowMenu
          items={pieceMenu(edit, run, course, menu.piece)}
          place={menu.place}
          onClose={() => setMenu(undefined)}
        />
      )}
      {opened && <PieceFields {...{ run, course, ...opened }} onClose={() => setOpened(undefined)} />}
    </>
  );
}

/** Marks in a band are at least so many pixels apart. */
const APART = 8;

/** Where every so many pieces begin, where they are too many to draw each. */
function BandMarks({
  seen,
  x,
  height,
}: {
  seen: Layout['placements'];
  x: ScaleLinear<number, number>;
  height: number;
}) {
  const [left, right] = x.range() as [number, number];
  const every = 10 ** Math.ceil(Math.log10((seen.length * APART) / Math.max(right - left, 1)));
  const marks = seen.filter(({ piece }) => piece % every === 0);
  const d = marks.map(({ station }) => `M${x(station).toFixed(1)} 4v${height - 10}`).join('');
  return (
    <>
      <path d={d} stroke="var(--mui-palette-tokens-cane)" strokeOpacity={0.8} pointerEvents="none" />
      <text
        x={left + 6}
        y={height / 2 - 1}
        dominantBaseline="central"
        fontSize={11}
        fill="var(--mui-palette-text-primary)"
        pointerEvents="none"
      >
        {seen.length.toLocaleString('en')} pieces, a mark every {every.toLocaleString('en')}
      </text>
    </>
  );
}
