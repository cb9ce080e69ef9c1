'use client';

import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Tab, Tabs } from '@mui/material';
import { useState } from 'react';
import { courseName } from '../../project/commands/courses';
import { fileNameOf } from '../save-file';
import { useCourse, useProject, useRun, useSet } from '../state/app-context';
import { PartsTable } from './PartsTable';
import { PieceTable } from './PieceTable';
import { saveTable } from './save-table';
import { useParts } from './use-parts';
import { usePieces } from './use-pieces';

/** The pieces of the shown course as a table, and the parts of the whole project; both are saved as CSV. */
export function PiecesDialog() {
  const set = useSet();
  const run = useRun();
  const course = useCourse();
  const project = useProject((s) => s.project);
  const [tab, setTab] = useState<'pieces' | 'parts'>('pieces');
  const pieces = usePieces(run, course);
  const parts = useParts(tab === 'parts' ? project : undefined);
  const isOne = (run?.courses.length ?? 1) < 2;
  const shown = [run?.name, !isOne && course && courseName(project, course)].filter(Boolean).join(', ');
  const close = () => set({ dialog: undefined });
  const save = () =>
    tab === 'pieces'
      ? saveTable(
          `${fileNameOf(shown)}-pieces`,
          (pieces ?? []).map((row) => ({ ...row, piece: row.piece + 1 })),
        )
      : saveTable(
          `${fileNameOf(project.name)}-parts`,
          (parts ?? []).map((line) => ({ ...line })),
        );
  return (
    <Dialog
      open
      onClose={close}
      maxWidth={false}
      aria-labelledby="pieces-title"
      slotProps={{ paper: { sx: { width: 1000 } } }}
    >
      <DialogTitle id="pieces-title" variant="h2" sx={{ pb: 0 }}>
        Pieces and parts
      </DialogTitle>
      <DialogContent sx={{ pb: 0 }}>
        <Tabs value={tab} onChange={(_, next: typeof tab) => setTab(next)}>
          <Tab value="pieces" label={`Pieces of ${shown.slice(0, 60)}`} />
          <Tab value="parts" label="Parts of the project" />
        </Tabs>
        <Box sx={{ height: 440 }}>
          {tab === 'pieces' ? <PieceTable rows={pieces ?? []} /> : <PartsTable lines={parts ?? []} />}
        </Box>
      </DialogContent>
      <DialogActions sx={{ px: 6, pb: 4 }}>
        <Button variant="outlined" color="secondary" onClick={() => void save()}>
          Save as CSV
        </Button>
        <Button variant="contained" color="secondary" onClick={close}>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}
