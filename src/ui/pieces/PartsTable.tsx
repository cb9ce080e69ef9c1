'use client';

import { DataGrid, type GridColDef } from '@mui/x-data-grid';
import type { PartsLine } from '../../engine/parts-list';
import { metres, whole } from '../format';

const COLUMNS: GridColDef<PartsLine>[] = [
  { field: 'run', headerName: 'Run', flex: 1 },
  { field: 'course', headerName: 'Course', flex: 1 },
  { field: 'segment', headerName: 'Segment', flex: 1 },
  { field: 'count', headerName: 'Pieces', type: 'number', width: 90, valueFormatter: (value: number) => whole(value) },
  { field: 'length', headerName: 'Total length', type: 'number', width: 120, valueFormatter: (value: number) => metres(value) },
  { field: 'triangles', headerName: 'Triangles', type: 'number', width: 110, valueFormatter: (value: number) => whole(value) },
]; // prettier-ignore

/** What the project is laid of. */
export function PartsTable({ lines }: { lines: readonly PartsLine[] }) {
  return (
    <DataGrid
      rows={lines}
      columns={COLUMNS}
      getRowId={({ run, course, segment }) => [run, course, segment].join(' / ')}
      density="compact"
      disableRowSelectionOnClick
      aria-label="Parts"
      sx={{ fontSize: 12.5, border: 'none' }}
    />
  );
}
