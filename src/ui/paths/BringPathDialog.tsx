'use client';

import FileOpenOutlined from '@mui/icons-material/FileOpenOutlined';
import {
  Alert,
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  LinearProgress,
  Typography,
} from '@mui/material';
import { useRef } from 'react';
import { PATH_EXTENSIONS } from '../../formats/paths/registry';
import { useSet } from '../state/app-context';
import { ChosenLine } from './ChosenLine';
import { useReadPaths } from './use-read-paths';

/** A path from a file: which of its lines, in which units, and where it lies. */
export function BringPathDialog() {
  const set = useSet();
  const input = useRef<HTMLInputElement>(null);
  const { read, problem, share, open, stop } = useReadPaths();
  const close = () => set({ dialog: undefined });
  return (
    <Dialog open onClose={close} fullWidth maxWidth="md" aria-labelledby="bring-path-title">
      <DialogTitle id="bring-path-title">Bring a path</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 3, alignContent: 'start', minHeight: 420 }}>
        <Box sx={{ display: 'flex', gap: 3, alignItems: 'center' }}>
          <Button
            variant={read ? 'outlined' : 'contained'}
            color={read ? 'secondary' : 'primary'}
            startIcon={<FileOpenOutlined />}
            onClick={() => input.current?.click()}
          >
            {read ? 'Another file' : 'Choose a file'}
          </Button>
          <Typography color="text.secondary" noWrap>
            {read ? read.fileName : 'Drawings (SVG, DXF), tables (CSV), maps (GeoJSON), lines of OBJ and GLB.'}
          </Typography>
          <input
            ref={input}
            type="file"
            hidden
            aria-label="File with paths"
            accept={PATH_EXTENSIONS.map((extension) => `.${extension}`).join(',')}
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) void open(file);
              event.target.value = '';
            }}
          />
        </Box>
        {share !== undefined && (
          <Box role="status" sx={{ display: 'grid', gridTemplateColumns: '1fr auto', gap: 2, alignItems: 'center' }}>
            <LinearProgress variant="determinate" value={share * 100} aria-label="Reading" />
            <Button variant="text" onClick={stop}>
              Stop
            </Button>
          </Box>
        )}
        {problem && <Alert severity="error">{problem}</Alert>}
        {read && <ChosenLine key={read.id} brought={read.brought} onDone={close} />}
      </DialogContent>
      {!read && (
        <DialogActions>
          <Button variant="text" color="secondary" onClick={close}>
            Cancel
          </Button>
        </DialogActions>
      )}
    </Dialog>
  );
}
