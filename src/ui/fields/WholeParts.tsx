import { Box } from '@mui/material';

/** Words with commas in one line: of those that have no room whole parts are left out, from the last one on. */
export function WholeParts({ text, isAtEnd = false }: { text: string; isAtEnd?: boolean }) {
  return (
    <Box
      component="span"
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        justifyContent: isAtEnd ? 'flex-end' : 'flex-start',
        height: '1.5em',
        lineHeight: 1.5,
        overflow: 'hidden',
        minWidth: 0,
        color: 'text.secondary',
      }}
    >
      {text.split(/(?=, )/).map((part, i) => (
        <Box
          key={i}
          component="span"
          sx={{ maxWidth: '100%', overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'pre' }}
        >
          {part}
        </Box>
      ))}
    </Box>
  );
}
