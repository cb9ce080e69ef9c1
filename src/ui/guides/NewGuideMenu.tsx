'use client';

import { Box, Button, Popover, Typography } from '@mui/material';
import { GUIDE_BODIES, type GuideShape } from '../../core/guides/guide-spec';
import { BringButton } from '../fields/BringButton';
import { useNewGuide } from './use-new-guide';

/** Simple bodies, or a brought mesh. */
export function NewGuideMenu({ anchor, onClose }: { anchor: HTMLElement; onClose: () => void }) {
  const addGuide = useNewGuide();
  const add = (label: string, shape: GuideShape) => {
    addGuide(label, shape);
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
