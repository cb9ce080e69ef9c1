'use client';

import AddRounded from '@mui/icons-material/AddRounded';
import DeleteOutlineRounded from '@mui/icons-material/DeleteOutlineRounded';
import { Box, IconButton, InputBase, Typography } from '@mui/material';
import type { CrossSection } from '../../core/segment/cross-section';
import { addStrip, deleteStrip } from '../../core/segment/edit-section';

/** The named strips of an outline with their colours. */
export function StripList({ spec, onChange }: { spec: CrossSection; onChange: (next: CrossSection) => void }) {
  const change = (at: number, part: Partial<CrossSection['strips'][number]>) =>
    onChange({ ...spec, strips: spec.strips.map((strip, i) => (i === at ? { ...strip, ...part } : strip)) });
  return (
    <Box>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center' }}>
        <Typography variant="h3">Strips</Typography>
        <IconButton size="small" aria-label="Add a strip" onClick={() => onChange(addStrip(spec).section)}>
          <AddRounded sx={{ fontSize: 18 }} />
        </IconButton>
      </Box>
      <Box sx={{ maxHeight: 190, overflowY: 'auto' }}>
        {spec.strips.map((strip, i) => (
          <Box
            key={i}
            sx={{ display: 'grid', gridTemplateColumns: '28px 1fr 28px', alignItems: 'center', gap: 2, minHeight: 34 }}
          >
            <Box
              component="input"
              type="color"
              aria-label={`Colour of ${strip.name}`}
              value={strip.colour}
              onChange={(event) => change(i, { colour: event.target.value })}
              sx={{
                width: 28,
                height: 24,
                p: 0,
                border: '1px solid',
                borderColor: 'divider',
                borderRadius: '6px',
                bgcolor: 'transparent',
              }}
            />
            <InputBase
              value={strip.name}
              inputProps={{ 'aria-label': `Name of strip ${i + 1}`, maxLength: 60 }}
              onChange={(event) => event.target.value.trim() && change(i, { name: event.target.value })}
              sx={{ fontSize: 13, height: 30, px: 2, borderRadius: 1, border: '1px solid', borderColor: 'divider' }}
            />
            <IconButton
              size="small"
              aria-label={`Delete ${strip.name}`}
              disabled={spec.strips.length < 2}
              onClick={() => onChange(deleteStrip(spec, i))}
            >
              <DeleteOutlineRounded sx={{ fontSize: 16 }} />
            </IconButton>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
