'use client';

import FileOpenOutlined from '@mui/icons-material/FileOpenOutlined';
import { Box, Button, LinearProgress } from '@mui/material';
import { useRef } from 'react';
import type { BroughtMesh } from '../../engine/compute-api';
import { useBring } from '../state/use-bring';

/** A button that reads a mesh file; while it does, how far it is and a way to stop. */
export function BringButton({ label, onBrought }: { label: string; onBrought: (mesh: BroughtMesh) => void }) {
  const { bring, bringing } = useBring(onBrought);
  const input = useRef<HTMLInputElement>(null);
  if (bringing) {
    return (
      <Box role="status" sx={{ display: 'grid', gap: 1, gridTemplateColumns: '1fr auto', alignItems: 'center' }}>
        <span>Reading {bringing.fileName}</span>
        <Button variant="text" onClick={bringing.stop}>
          Stop
        </Button>
        <LinearProgress
          variant="determinate"
          value={bringing.share * 100}
          aria-label="Reading"
          sx={{ gridColumn: '1 / -1' }}
        />
      </Box>
    );
  }
  return (
    <>
      <Button
        variant="outlined"
        color="secondary"
        startIcon={<FileOpenOutlined />}
        onClick={() => input.current?.click()}
      >
        {label}
      </Button>
      <input
        ref={input}
        type="file"
        hidden
        multiple
        aria-label={label}
        accept=".glb,.gltf,.obj,.stl,.ply,.mtl,.bin,.png,.jpg,.jpeg,.webp"
        onChange={(event) => {
          void bring(Array.from(event.target.files ?? []));
          event.target.value = '';
        }}
      />
    </>
  );
}
