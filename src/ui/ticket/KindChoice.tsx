'use client';

import { Box, ListItemText, MenuItem, Select } from '@mui/material';
import { CURVE_KINDS, curveKind, type CurveKindName } from '../../core/curve/registry';
import { KindPicture } from './KindPicture';

/** How a path is drawn: one choice, with small pictures and what each is for. */
export function KindChoice({ kind, onChange }: { kind: CurveKindName; onChange: (kind: CurveKindName) => void }) {
  return (
    <Select
      fullWidth
      size="small"
      value={kind}
      onChange={({ target }) => onChange(target.value)}
      inputProps={{ 'aria-label': 'Kind of path' }}
      SelectDisplayProps={{ 'aria-label': `Kind of path: ${curveKind({ kind }).label}` }}
      renderValue={(own) => (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
          <KindPicture kind={own} />
          {curveKind({ kind: own }).label}
        </Box>
      )}
      sx={{ '& .MuiSelect-select': { py: 1 } }}
      MenuProps={{ slotProps: { paper: { sx: { maxHeight: 520 } } } }}
    >
      {CURVE_KINDS.map((own) => (
        <MenuItem key={own.kind} value={own.kind} dense sx={{ gap: 3 }}>
          <KindPicture kind={own.kind} />
          <ListItemText primary={own.label} secondary={own.hint} />
        </MenuItem>
      ))}
    </Select>
  );
}
