import { Box } from '@mui/material';
import { Fragment } from 'react';

/** Words with commas in one line: of those that have no room whole parts are left out, from the last one on. */
export function WholeParts({ text, isAtEnd = false }: { text: string; isAtEnd?: boolean }) {
  return (
    <Box
      component="span"
      sx={{
        display: 'block',
        height: '1.5em',
        lineHeight: 1.5,
        overflow: 'hidden',
        textOverflow: 'ellipsis',
        textAlign: isAtEnd ? 'right' : 'left',
        minWidth: 0,
        color: 'text.secondary',
      }}
    >
      {text.split(/(?=, )/).map((part, i) => (
        <Fragment key={i}>
          {i > 0 && <wbr />}
          <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
            {part}
          </Box>
        </Fragment>
      ))}
    </Box>
  );
}
