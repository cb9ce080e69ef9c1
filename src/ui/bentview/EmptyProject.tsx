'use client';

import DrawOutlined from '@mui/icons-material/DrawOutlined';
import LandscapeOutlined from '@mui/icons-material/LandscapeOutlined';
import { Box, Button, Typography } from '@mui/material';
import { SampleCards } from '../shelf/SampleCards';
import { BringButton } from '../fields/BringButton';
import { useApp, useNotify, useSet } from '../state/app-context';
import { arrivalWords, broughtSegment, isSideInDoubt } from '../state/brought-segment';
import { useNewRun } from '../state/use-new-run';

/** What an empty project offers: three things to do. */
export function EmptyProject() {
  const notify = useNotify();
  const { keeper, tell } = useApp();
  const set = useSet();
  const { addMade, addRunOf } = useNewRun();
  const openSample = async () => {
    const { saltgrassLanding } = await import('../../project/samples');
    tell.problems(await keeper.create(saltgrassLanding()));
  };
  return (
    <Box sx={{ position: 'absolute', inset: 0, display: 'grid', placeItems: 'center', pointerEvents: 'none' }}>
      <Box
        sx={{
          pointerEvents: 'auto',
          width: 534,
          maxWidth: '96%',
          maxHeight: 'calc(100% - 116px)', // below the toolbar
          overflowY: 'auto',
          mt: '92px',
          mb: 6,
          p: 6,
          display: 'grid',
          gap: 2.5,
          borderRadius: 1.5,
          border: '1px solid',
          borderColor: 'divider',
          bgcolor: 'background.paper',
        }}
      >
        <Typography variant="h2">Lay something along a path</Typography>
        <Typography color="text.secondary">
          Draw a path on the ground; a segment is laid along it and bends with it.
        </Typography>
        <Button
          variant="contained"
          color="secondary"
          startIcon={<DrawOutlined />}
          onClick={() => addMade('kerbedLane')}
        >
          Draw a road
        </Button>
        <Box sx={{ display: 'grid', gridTemplateColumns: '3fr 2fr', gap: 2.5 }}>
          <BringButton
            label="Bring a mesh (GLB, OBJ, STL, PLY)"
            onBrought={(mesh) => {
              addRunOf(broughtSegment(mesh));
              if (isSideInDoubt(mesh)) set({ dialog: 'prepare' });
              notify(arrivalWords(mesh));
            }}
          />
          <Button
            variant="outlined"
            color="secondary"
            startIcon={<LandscapeOutlined />}
            onClick={() => void openSample()}
          >
            Open the sample
          </Button>
        </Box>
        <Typography variant="caption" color="text.secondary">
          Or something small to try
        </Typography>
        <SampleCards />
      </Box>
    </Box>
  );
}
