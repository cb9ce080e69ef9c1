import { Box } from '@mui/material';

/** Words with commas in one line: of those that have no room whole parts are left out, from the last one on. */
export function WholeParts({ text, isAtEnd = false }: { text: string; isAtEnd?: boolean }) {
  return (
    <Box
      component="span"
      sx={{
        display: 'block',
        height: '1.5em',
        lineHeight: 1.5,
        lineBreak: 'anywhere', // before a comma, too; a <wbr> there would be read as a space
        overflow: 'hidden',
        textOverflow: 'ellipsis',
        textAlign: isAtEnd ? 'right' : 'left',
        minWidth: 0,
        color: 'text.secondary',
      }}
    >
      {text.split(/(?=, )/).map((part, i) => (
        <Box key={i} component="span" sx={{ whiteSpace: 'nowrap' }}>
          {part}
        </Box>
      ))}
    </Box>
  );
}
