'use client';

import { Box, Popover, Typography } from '@mui/material';
import type { Run } from '../../project/schema';
import { BringButton } from '../fields/BringButton';
import { AddableCard, CARD } from '../pictures/AddableCard';
import { useNotify } from '../state/app-context';
import { arrivalWords, broughtSegment } from '../state/brought-segment';
import { dressables } from './dressables';
import { useDressing } from './use-dressing';

/** So many pictures stand in a row. */
const ROW = 3;

interface AddDressingMenuProps {
  readonly run: Run;
  readonly anchor: HTMLElement;
  readonly onAdded: (course: string) => void;
  readonly onClose: () => void;
}

/** What runs are dressed with, as pictures: what stands at stations, what is strewn, or a mesh of one's own. */
export function AddDressingMenu({ run, anchor, onAdded, onClose }: AddDressingMenuProps) {
  const { addMade, addBrought } = useDressing()(run, onAdded);
  const notify = useNotify();
  const made = dressables();
  return (
    <Popover
      open
      anchorEl={anchor}
      onClose={onClose}
      anchorOrigin={{ vertical: 'top', horizontal: 'right' }}
      slotProps={{
        paper: {
          role: 'dialog',
          'aria-label': 'Dress the run',
          sx: { width: ROW * (CARD.width + 12) + 36, maxHeight: 'min(600px, 76vh)', p: 4 },
        },
      }}
    >
      {[true, false].map((isFixing) => {
        const title = isFixing ? 'Fixings, at stations' : 'Strewn over it';
        return (
          <Box key={title} role="group" aria-label={title} sx={{ mb: 3 }}>
            <Typography variant="caption" color="text.secondary">
              {title}
            </Typography>
            <Box sx={{ display: 'grid', gridTemplateColumns: `repeat(${ROW}, ${CARD.width}px)`, gap: 3 }}>
              {made
                .filter((own) => own.isFixing === isFixing)
                .map(({ kind, item }) => (
                  <AddableCard
                    key={item.key}
                    item={item}
                    onAdd={() => {
                      addMade(kind);
                      onClose();
                    }}
                  />
                ))}
            </Box>
          </Box>
        );
      })}
      <BringButton
        label="Bring a mesh (GLB, OBJ, STL, PLY)"
        onBrought={(mesh) => {
          addBrought(broughtSegment(mesh));
          notify(arrivalWords(mesh));
          onClose();
        }}
      />
    </Popover>
  );
}
