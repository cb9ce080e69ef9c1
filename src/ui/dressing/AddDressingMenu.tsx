'use client';

import { Box, Popover, Typography } from '@mui/material';
import { maker } from '../../core/segment/registry';
import { addables } from '../../project/addables';
import type { Run } from '../../project/schema';
import { BringButton } from '../fields/BringButton';
import { AddableCard, CARD } from '../pictures/AddableCard';
import { useNotify } from '../state/app-context';
import { arrivalWords, broughtSegment } from '../state/brought-segment';
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
  const { addMade, addBrought } = useDressing(run, onAdded);
  const notify = useNotify();
  const made = addables([], '').flatMap((item) => {
    const kind = 'maker' in item.of ? item.of.maker : undefined;
    const by = kind && maker(kind).dresses?.by;
    return kind && by ? [{ kind, item, title: 'stations' in by ? 'Fixings, at stations' : 'Strewn over it' }] : [];
  });
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
      {['Fixings, at stations', 'Strewn over it'].map((title) => (
        <Box key={title} role="group" aria-label={title} sx={{ mb: 3 }}>
          <Typography variant="caption" color="text.secondary">
            {title}
          </Typography>
          <Box sx={{ display: 'grid', gridTemplateColumns: `repeat(${ROW}, ${CARD.width}px)`, gap: 3 }}>
            {made
              .filter((own) => own.title === title)
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
      ))}
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
