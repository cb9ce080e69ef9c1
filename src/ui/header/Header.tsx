'use client';

import DarkModeOutlined from '@mui/icons-material/DarkModeOutlined';
import ExpandMoreRounded from '@mui/icons-material/ExpandMoreRounded';
import LightModeOutlined from '@mui/icons-material/LightModeOutlined';
import RedoRounded from '@mui/icons-material/RedoRounded';
import SearchRounded from '@mui/icons-material/SearchRounded';
import UndoRounded from '@mui/icons-material/UndoRounded';
import { Box, Button, IconButton, Tooltip, Typography } from '@mui/material';
import { useColorScheme } from '@mui/material/styles';
import { useStore } from 'zustand';
import { useApp, useProject, useSet } from '../state/app-context';
import { CompareButton } from '../compare/CompareButton';
import { FindingsCount } from './FindingsCount';
import { Mark } from './Mark';
import { SaveNote } from './SaveNote';

/** Name, project, its saving, undo and redo, findings, export, and the theme. */
export function Header() {
  const { document } = useApp();
  const name = useProject((s) => s.project.name);
  const hasRuns = useProject((s) => s.project.runs.length > 0);
  const isShown = useProject((s) => s.project.runs.some(({ visible }) => visible));
  const { undo, redo } = document.temporal.getState();
  const canUndo = useStore(document.temporal, (s) => s.pastStates.length > 0);
  const canRedo = useStore(document.temporal, (s) => s.futureStates.length > 0);
  const { mode, setMode } = useColorScheme();
  const set = useSet();
  const isDark = mode === 'dark';
  const framed = { border: '1px solid', borderColor: 'divider' };
  return (
    <Box
      component="header"
      sx={{
        height: 48,
        display: 'flex',
        alignItems: 'center',
        gap: 3,
        px: 4,
        bgcolor: 'background.paper',
        borderBottom: '1px solid',
        borderColor: 'divider',
      }}
    >
      <Mark />
      <Typography variant="h1" component="h1">
        Rattan
      </Typography>
      <Tooltip describeChild title={name}>
        <Button
          color="secondary"
          variant="text"
          endIcon={<ExpandMoreRounded />}
          onClick={() => set({ dialog: 'shelf' })}
          sx={{ maxWidth: 320, '& .name': { overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' } }}
        >
          <span className="name">{name}</span>
        </Button>
      </Tooltip>
      <SaveNote />
      <Box sx={{ flex: 1 }} />
      <Tooltip title="Undo (Ctrl Z)">
        <span>
          <IconButton aria-label="Undo" disabled={!canUndo} onClick={() => undo()} sx={framed}>
            <UndoRounded sx={{ fontSize: 18 }} />
          </IconButton>
        </span>
      </Tooltip>
      <Tooltip title="Redo (Ctrl Shift Z)">
        <span>
          <IconButton aria-label="Redo" disabled={!canRedo} onClick={() => redo()} sx={framed}>
            <RedoRounded sx={{ fontSize: 18 }} />
          </IconButton>
        </span>
      </Tooltip>
      {hasRuns && <CompareButton />}
      <FindingsCount />
      <Tooltip title="Commands (C)">
        <IconButton aria-label="Commands" onClick={() => set({ dialog: 'commands' })} sx={framed}>
          <SearchRounded sx={{ fontSize: 18 }} />
        </IconButton>
      </Tooltip>
      <Tooltip title={isDark ? 'Light theme' : 'Dark theme'}>
        <IconButton
          aria-label={isDark ? 'Light theme' : 'Dark theme'}
          onClick={() => setMode(isDark ? 'light' : 'dark')}
          sx={framed}
        >
          {isDark ? <LightModeOutlined sx={{ fontSize: 18 }} /> : <DarkModeOutlined sx={{ fontSize: 18 }} />}
        </IconButton>
      </Tooltip>
      <Tooltip
        title={
          isShown
            ? ''
            : hasRuns
              ? 'Every run is hidden: show one to export it.'
              : 'There is nothing to export yet: add a run.'
        }
      >
        <span>
          <Button variant="contained" color="secondary" disabled={!isShown} onClick={() => set({ dialog: 'export' })}>
            Export
          </Button>
        </span>
      </Tooltip>
    </Box>
  );
}
