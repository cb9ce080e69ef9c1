import type { Layout } from '../../core/layout/layout';
import { metres } from '../format';
import type { StationScale } from './Lane';

/** More blocks than this are drawn as one band. */
const MOST_BLOCKS = 600;

/** Pieces as blocks where they lie. */
export function PiecesLane({ x, layout: { placements } }: { x: StationScale; layout: Layout }) {
  const last = placements[placements.length - 1];
  const blocks =
    placements.length <= MOST_BLOCKS
      ? placements
      : [{ piece: 0, station: placements[0].station, length: last.station + last.length - placements[0].station }];
  return blocks.map(({ piece, station, length }) => {
    const left = x(station);
    const width = Math.max(x(station + length) - left, 0.5);
    const inset = width > 4 ? 0.5 : 0;
    return (
      <rect
        key={piece}
        x={left + inset}
        y={3}
        width={width - inset * 2}
        height={24}
        rx={Math.min(3, width / 4)}
        fill="var(--mui-palette-tokens-cane)"
        fillOpacity={0.3}
        stroke="var(--mui-palette-tokens-cane)"
        strokeOpacity={0.75}
      >
        <title>{`Piece ${piece + 1}: ${metres(length)} from station ${metres(station)}`}</title>
      </rect>
    );
  });
}
