'use client';

import AddRounded from '@mui/icons-material/AddRounded';
import FolderOpenOutlined from '@mui/icons-material/FolderOpenOutlined';
import LandscapeOutlined from '@mui/icons-material/LandscapeOutlined';
import { Box, Button, Dialog, DialogContent, DialogTitle, TextField, Typography } from '@mui/material';
import { useRef } from 'react';
import type { Problem } from '../../core/math/result';
import { renameProject } from '../../project/commands/runs';
import { emptyProject } from '../../project/schema';
import { saltgrassLanding } from '../../project/samples';
import type { ShelfItem } from '../../project/storage/projects';
import { bytesText } from '../format';
import { useApp, useProject, useSession, useSet } from '../state/app-context';
import { SampleCards } from './SampleCards';
import { ShelfRow } from './ShelfRow';
import { useShelf } from './use-shelf';

/** The projects in this browser: new, sample, file, rename, duplicate, delete, download. */
export function ShelfDialog() {
  const { keeper, document, tell } = useApp();
  const set = useSet();
  const current = useSession((s) => s.projectId);
  const name = useProject((s) => s.project.name);
  const edit = document.getState().edit;
  const { items, usage, actions } = useShelf();
  const input = useRef<HTMLInputElement>(null);
  const isCurrent = ({ id, savedAt }: ShelfItem) => (current === undefined ? savedAt === 0 : id === current);
  const close = () => set({ dialog: undefined });
  const openNew = (open: Promise<readonly Problem[]>) => void open.then((trouble) => tell.problems(trouble) && close());
  return (
    <Dialog open onClose={close} aria-labelledby="shelf-title" slotProps={{ paper: { sx: { width: 560 } } }}>
      <DialogTitle id="shelf-title" variant="h2">
        Projects
      </DialogTitle>
      <DialogContent sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 4 }}>
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
          <Button
            variant="outlined"
            color="secondary"
            startIcon={<AddRounded />}
            onClick={() => openNew(keeper.create(emptyProject('Untitled')))}
          >
            New
          </Button>
          <Button
            variant="outlined"
            color="secondary"
            startIcon={<LandscapeOutlined />}
            onClick={() => openNew(keeper.create(saltgrassLanding()))}
          >
            Open the sample
          </Button>
          <Button
            variant="outlined"
            color="secondary"
            startIcon={<FolderOpenOutlined />}
            onClick={() => input.current?.click()}
          >
            Open a file
          </Button>
          <input
            ref={input}
            type="file"
            hidden
            aria-label="Open a project file"
            accept=".json,application/json"
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) void actions.openFile(file).then((opened) => opened && close());
              event.target.value = '';
            }}
          />
        </Box>
        <SampleCards onOpened={close} />
        <TextField
          size="small"
          label="Name of this project"
          defaultValue={name}
          key={current}
          sx={{ mt: 2 }}
          slotProps={{ htmlInput: { maxLength: 200 } }}
          onBlur={(event) => {
            const next = event.target.value.trim();
            if (next && next !== name) edit((project) => renameProject(project, next));
          }}
          onKeyDown={(event) => event.key === 'Enter' && (event.target as HTMLInputElement).blur()}
        />
        <Box
          component="ul"
          sx={{ listStyle: 'none', m: 0, p: 0, border: '1px solid', borderColor: 'divider', borderRadius: 1 }}
        >
          {items.map((item) => (
            <ShelfRow
              key={item.id}
              item={isCurrent(item) ? { ...item, name } : item}
              isOpen={isCurrent(item)}
              actions={actions}
            />
          ))}
        </Box>
        <Typography variant="body2" color="text.secondary">
          Projects are kept in this browser{usage !== undefined && `, where Rattan takes ${bytesText(usage)}`}. Download
          a copy of what must not be lost.
        </Typography>
      </DialogContent>
    </Dialog>
  );
}
