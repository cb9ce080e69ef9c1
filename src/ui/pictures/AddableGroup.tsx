import { Box, Typography } from '@mui/material';
import type { Addable } from '../../project/addables';
import { AddableCard, CARD } from './AddableCard';

interface AddableGroupProps {
  readonly title: string;
  readonly items: readonly Addable[];
  /** So many pictures stand in a row. */
  readonly row: number;
  readonly onAdd: (item: Addable) => void;
}

/** What can be added of one kind, as pictures under a title. */
export const AddableGroup = ({ title, items, row, onAdd }: AddableGroupProps) => (
  <Box role="group" aria-label={title} sx={{ mt: 2 }}>
    <Typography variant="caption" color="text.secondary">
      {title}
    </Typography>
    <Box sx={{ display: 'grid', gridTemplateColumns: `repeat(${row}, ${CARD.width}px)`, gap: 3 }}>
      {items.map((item) => (
        <AddableCard key={item.key} item={item} onAdd={() => onAdd(item)} />
      ))}
    </Box>
  </Box>
);
