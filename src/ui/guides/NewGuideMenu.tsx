'use client';

import { Box, Button, Popover, Typography } from '@mui/material';
import { GUIDE_BODIES, guideBody, type GuideShape } from '../../core/guides/guide-spec';
import { addGuide } from '../../project/commands/guides';
import { newId } from '../../project/new-id';
import { BringButton } from '../fields/BringButton';
import { useApp, useEdit, useProject, useSet } from '../state/app-context';

/** Simple bodies, or a brought mesh. */
export function NewGuideMenu({ anchor, onClose }: { anchor: HTMLElement; onClose: () => void }) {
  const edit = useEdit();
  const set = useSet();
  const { session } = useApp();
  const names = useProject((s) => s.project.guides.map(({ name }) => name).join('\n')).split('\n');
  const add = (label: string, shape: GuideShape) => {
    const id = newId();
    const count = names.filter((name) => name.startsWith(label)).length;
    const name = count > 0 ? `${label} ${count + 1}` : label;
    const isOpen = shape.from === 'body' && guideBody(shape.kind).isOpen;
    edit((project) =>
      addGuide(project, {
        id,
        name,
        visible: true,
        shape,
        position: [0, 0, 0],
        turn: [0, 0, 0],
        clearance: isOpen ? null : 0,
      }),
    );
    set({ guide: id, point: undefined });
    session.getState().frame('all');
    onClose();
  };
  return (
    <Popover
      open
      anchorEl={anchor}
      onClose={onClose}
      anchorOrigin={{ vertical: 'top', horizontal: 'right' }}
      slotProps={{
        paper: { role: 'dialog', 'aria-label': 'New guide', sx: { width: 300, p: 4, display: 'grid', gap: 2 } },
      }}
    >
      <Typography variant="body2" color="text.secondary">
        A guide is there to draw on, to wind round or to keep clear of. Files hold it only when that is asked for.
      </Typography>
      <Box>
        {GUIDE_BODIES.map(({ kind, label, hint }) => (
          <Button
            key={kind}
            fullWidth
            size="small"
            variant="text"
            color="secondary"
            sx={{
              display: 'grid',
              gridTemplateColumns: '52px 1fr',
              textAlign: 'left',
              fontWeight: 400,
              minHeight: 28,
              px: 2,
              mx: -2,
            }}
            onClick={() => add(label, { from: 'body', kind, sizes: {} })}
          >
            {label}
            <Box component="span" sx={{ color: 'text.secondary', fontSize: 12, textAlign: 'left' }}>
              {hint}
            </Box>
          </Button>
        ))}
      </Box>
      <BringButton
        label="Bring a mesh"
        onBrought={({ asset, fileName }) =>
          add(fileName.replace(/\.[^.]+$/, '').slice(0, 180) || 'Mesh', { from: 'asset', asset, fileName, unit: 1 })
        }
      />
    </Popover>
  );
}
