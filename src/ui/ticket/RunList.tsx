'use client';

import AddRounded from '@mui/icons-material/AddRounded';
import DeleteOutlineRounded from '@mui/icons-material/DeleteOutlineRounded';
import VisibilityOffOutlined from '@mui/icons-material/VisibilityOffOutlined';
import VisibilityOutlined from '@mui/icons-material/VisibilityOutlined';
import { Box, ButtonBase, IconButton, Tooltip, Typography } from '@mui/material';
import { useState } from 'react';
import { changeRun, deleteRun } from '../../project/commands/runs';
import type { Run } from '../../project/schema';
import { metres } from '../format';
import { useApp, useEdit, useProject, useRun, useRunResult, useSet } from '../state/app-context';
import { NewRunMenu } from './NewRunMenu';
import { RunSwatch } from './RunSwatch';

/** The runs of the project; one is selected. */
export function RunList() {
  const runs = useProject((s) => s.project.runs);
  const selected = useRun();
  const [anchor, setAnchor] = useState<HTMLElement>();
  return (
    <Box component="nav" aria-label="Runs" sx={{ py: 2 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', pl: 4, pr: 2 }}>
        <Typography variant="caption" color="text.secondary">
          Runs
        </Typography>
        <Tooltip title="Add a run">
          <IconButton aria-label="Add a run" size="small" onClick={(event) => setAnchor(event.currentTarget)}>
            <AddRounded sx={{ fontSize: 18 }} />
          </IconButton>
        </Tooltip>
      </Box>
      {/* Six and a half rows: a longer list shows that it goes on. */}
      <Box sx={{ maxHeight: 208, overflowY: 'auto' }}>
        {runs.map((run) => (
          <RunRow key={run.id} run={run} isSelected={run.id === selected?.id} />
        ))}
      </Box>
      {anchor && <NewRunMenu anchor={anchor} onClose={() => setAnchor(undefined)} />}
    </Box>
  );
}

function RunRow({ run, isSelected }: { run: Run; isSelected: boolean }) {
  const result = useRunResult(run.id);
  const edit = useEdit();
  const set = useSet();
  const { session } = useApp();
  return (
    <Box
      sx={{
        position: 'relative',
        display: 'flex',
        alignItems: 'center',
        height: 32,
        bgcolor: isSelected ? (t) => t.vars!.palette.tokens.leafWash : 'transparent',
        boxShadow: isSelected ? 'inset 3px 0 0 var(--mui-palette-primary-main)' : 'none',
        '& .actions': { position: 'absolute', right: 6, display: 'flex', opacity: run.visible ? 0 : 1 },
        '&:hover .actions, & .actions:focus-within': { opacity: 1 },
        '&:hover .length, &:focus-within .length': { visibility: 'hidden' },
      }}
    >
      <ButtonBase
        aria-current={isSelected}
        onClick={() => set({ run: run.id, point: undefined, station: undefined })}
        onDoubleClick={() => session.getState().frame('run')}
        sx={{
          flex: 1,
          minWidth: 0,
          height: '100%',
          pl: 4,
          gap: 2.5,
          justifyContent: 'flex-start',
          fontWeight: isSelected ? 650 : 400,
        }}
      >
        <RunSwatch result={result} />
        <Box
          component="span"
          sx={{
            flex: 1,
            textAlign: 'left',
            overflow: 'hidden',
            textOverflow: 'ellipsis',
            whiteSpace: 'nowrap',
            opacity: run.visible ? 1 : 0.55,
          }}
        >
          {run.name}
        </Box>
        <Box
          component="span"
          className="length"
          sx={{
            color: isSelected ? 'text.primary' : 'text.secondary',
            fontWeight: 400,
            mr: 4,
            visibility: run.visible ? 'visible' : 'hidden',
          }}
        >
          {result ? metres(result.view.laying.reach.to - result.view.laying.reach.from) : ''}
        </Box>
      </ButtonBase>
      <Box className="actions">
        <IconButton
          size="small"
          aria-label={run.visible ? `Hide ${run.name}` : `Show ${run.name}`}
          onClick={() => edit((project) => changeRun(project, run.id, { visible: !run.visible }))}
          sx={{ width: 26, height: 26 }}
        >
          {run.visible ? <VisibilityOutlined sx={{ fontSize: 16 }} /> : <VisibilityOffOutlined sx={{ fontSize: 16 }} />}
        </IconButton>
        <IconButton
          size="small"
          aria-label={`Delete ${run.name}`}
          onClick={() => edit((project) => deleteRun(project, run.id))}
          sx={{ width: 26, height: 26 }}
        >
          <DeleteOutlineRounded sx={{ fontSize: 16 }} />
        </IconButton>
      </Box>
    </Box>
  );
}
