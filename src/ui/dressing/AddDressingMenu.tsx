'use client';

import { Box, Popover } from '@mui/material';
import type { Run } from '../../project/schema';
import { BringButton } from '../fields/BringButton';
import { CARD } from '../pictures/AddableCard';
import { AddableGroup } from '../pictures/AddableGroup';
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
      {[true, false].map((isFixing) => (
        <AddableGroup
          key={`${isFixing}`}
          title={isFixing ? 'Fixings, at stations' : 'Strewn over it'}
          row={ROW}
          items={made.filter((own) => own.isFixing === isFixing).map(({ item }) => item)}
          onAdd={({ of }) => {
            if ('maker' in of) addMade(of.maker);
            onClose();
          }}
        />
      ))}
      <Box sx={{ mt: 3 }}>
        <BringButton
          label="Bring a mesh (GLB, OBJ, STL, PLY)"
          onBrought={(mesh) => {
            addBrought(broughtSegment(mesh));
            notify(arrivalWords(mesh));
            onClose();
          }}
        />
      </Box>
    </Popover>
  );
}
