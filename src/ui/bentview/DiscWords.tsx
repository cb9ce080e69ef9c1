import { Box } from '@mui/material';

/** A word beside a disc. */
export function DiscTag({ left, top, text }: { left: number; top: number; text: string }) {
  return (
    <Box
      component="span"
      aria-hidden
      sx={{
        position: 'absolute',
        left,
        top,
        fontSize: 12,
        lineHeight: '18px',
        color: 'text.primary',
        textShadow: '0 0 3px var(--mui-palette-background-paper), 0 0 3px var(--mui-palette-background-paper)',
        pointerEvents: 'none',
      }}
    >
      {text}
    </Box>
  );
}

/** How far, and what holds it. */
export function DiscNote({ text }: { text: string }) {
  return (
    <Box
      component="span"
      role="status"
      sx={{
        position: 'absolute',
        left: 18,
        top: -24,
        px: 2,
        borderRadius: 1,
        bgcolor: 'secondary.main',
        color: 'background.paper',
        fontSize: 12,
        whiteSpace: 'nowrap',
        pointerEvents: 'none',
      }}
    >
      {text}
    </Box>
  );
}
