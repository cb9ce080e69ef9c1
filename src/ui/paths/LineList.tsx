import { Box, Button, Typography } from '@mui/material';
import type { BroughtFile } from '../../engine/brought-file';
import { plural } from '../format';

/** The lines of a file, of which one is chosen. */
export function LineList(props: { brought: BroughtFile; chosen: number; onChoose: (line: number) => void }) {
  const { brought, chosen, onChoose } = props;
  const { lines, count } = brought;
  return (
    <>
      <Typography variant="caption" color="text.secondary">
        {plural(count, 'line')} in the file
        {count > lines.length && `, the first ${lines.length} are listed`}
      </Typography>
      <Box role="radiogroup" aria-label="Line" sx={{ maxHeight: 150, overflowY: 'auto', mx: -1 }}>
        {lines.map(({ name, closed, count: points }, i) => (
          <Button
            key={i}
            role="radio"
            aria-checked={i === chosen}
            fullWidth
            size="small"
            variant="text"
            color={i === chosen ? 'primary' : 'secondary'}
            onClick={() => onChoose(i)}
            sx={{ justifyContent: 'space-between', fontWeight: i === chosen ? 650 : 400, px: 1, gap: 2 }}
          >
            <Box component="span" sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
              {name}
            </Box>
            <Box component="span" sx={{ color: 'text.secondary', whiteSpace: 'nowrap' }}>
              {plural(points, 'point')}
              {closed ? ', closed' : ''}
            </Box>
          </Button>
        ))}
      </Box>
    </>
  );
}
