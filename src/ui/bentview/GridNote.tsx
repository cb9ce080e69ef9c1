import { Typography } from '@mui/material';
import { quantityText } from '../fields/quantity';
import { useSession } from '../state/app-context';

/** How large the squares on the ground are. */
export function GridNote() {
  const cell = useSession((s) => s.cell);
  return (
    <Typography
      variant="caption"
      color="text.secondary"
      sx={{ position: 'absolute', bottom: 6, left: 14, pointerEvents: 'none' }}
    >
      Squares of {cell < 0.1 ? `${Number((cell * 1000).toPrecision(4))} mm` : quantityText(cell, 'length')}
    </Typography>
  );
}
