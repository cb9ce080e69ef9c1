'use client';

import { Dialog, DialogTitle, Tab, Tabs } from '@mui/material';
import { useState } from 'react';
import { useSet } from '../state/app-context';
import { MeshExport } from './MeshExport';
import { MovingExport } from './MovingExport';
import { PictureExport } from './PictureExport';
import { StoppedNote } from './StoppedNote';
import { useWork } from './use-work';

const KINDS = { mesh: MeshExport, moving: MovingExport, pictures: PictureExport };

/** What is taken on: a mesh, one that moves, or pictures. */
export function ExportDialog() {
  const set = useSet();
  const work = useWork();
  const [kind, setKind] = useState<keyof typeof KINDS>('mesh');
  const close = () => {
    work.running?.stop();
    set({ dialog: undefined });
  };
  const Kind = KINDS[kind];
  return (
    <Dialog open onClose={close} aria-labelledby="export-title" slotProps={{ paper: { sx: { width: 440 } } }}>
      <DialogTitle id="export-title" variant="h2">
        Export
      </DialogTitle>
      <Tabs
        aria-label="What is exported"
        value={kind}
        onChange={(_, next: keyof typeof KINDS) => work.running === undefined && setKind(next)}
        sx={{ px: 4, minHeight: 36, '& .MuiTab-root': { minHeight: 36, textTransform: 'none', px: 3 } }}
      >
        <Tab value="mesh" label="Mesh" />
        <Tab value="moving" label="Mesh that moves" />
        <Tab value="pictures" label="Pictures" />
      </Tabs>
      <StoppedNote work={work} />
      <Kind work={work} onClose={close} />
    </Dialog>
  );
}
