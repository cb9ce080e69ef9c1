import { Box } from '@mui/material';

interface Place {
  readonly x: number;
  readonly y: number;
}

/** The box that is being drawn round points, pixels. */
export function ChoosingBox({ from, to }: { from: Place; to: Place }) {
  return (
    <Box
      sx={{
        position: 'absolute',
        left: Math.min(from.x, to.x),
        top: Math.min(from.y, to.y),
        width: Math.abs(to.x - from.x),
        height: Math.abs(to.y - from.y),
        border: '1px dashed',
        borderColor: 'primary.main',
        bgcolor: (t) => `color-mix(in srgb, ${t.vars!.palette.tokens.leafWash} 40%, transparent)`,
      }}
    />
  );
}
