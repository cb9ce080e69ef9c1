'use client';

import { DataGrid, type GridColDef } from '@mui/x-data-grid';
import { letterOf } from '../../core/layout/pattern';
import type { PieceRow } from '../../engine/piece-table';
import { degrees, metres, percentText, signed } from '../format';
import { useSession, useSet } from '../state/app-context';

const length = (field: keyof PieceRow, headerName: string): GridColDef<PieceRow> => ({
  field,
  headerName,
  type: 'number',
  flex: 1,
  minWidth: 74,
  valueFormatter: (value: number) => metres(value),
});
const share = (field: keyof PieceRow, headerName: string): GridColDef<PieceRow> => ({
  field,
  headerName,
  type: 'number',
  flex: 1,
  minWidth: 74,
  valueFormatter: (value: number) => signed(percentText(value * 100), value),
});

const COLUMNS: GridColDef<PieceRow>[] = [
  { field: 'piece', headerName: 'Piece', type: 'number', width: 64, valueGetter: (value: number) => value + 1 },
  { field: 'kind', headerName: 'Place', width: 70 },
  { field: 'body', headerName: 'Segment', width: 78, valueGetter: (value: number) => letterOf(value) },
  length('station', 'Station'),
  length('natural', 'Natural'),
  length('length', 'Laid'),
  share('stretch', 'Stretch'),
  share('offMean', 'Off mean'),
  share('inner', 'Inner side'),
  share('outer', 'Outer side'),
  { field: 'turn', headerName: 'Turn', type: 'number', width: 64, valueFormatter: (value: number) => degrees(value) },
  length('gap', 'Gap'),
];

/** All pieces of a course, sorted and filtered; the chosen row is marked in both views. */
export function PieceTable({ rows }: { rows: readonly PieceRow[] }) {
  const set = useSet();
  const piece = useSession((s) => s.piece);
  return (
    <DataGrid
      rows={rows}
      columns={COLUMNS}
      getRowId={({ piece: id }) => id}
      density="compact"
      disableMultipleRowSelection
      rowSelectionModel={{ type: 'include', ids: new Set(piece === undefined ? [] : [piece]) }}
      onRowSelectionModelChange={({ ids }) => {
        const [chosen] = ids;
        const row = rows.find(({ piece: id }) => id === chosen);
        set({ piece: row?.piece, station: row && row.station + row.length / 2 });
      }}
      initialState={{ pagination: { paginationModel: { pageSize: 100 } } }}
      aria-label="Pieces"
      sx={{ fontSize: 12.5, border: 'none' }}
    />
  );
}
