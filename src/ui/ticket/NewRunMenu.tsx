'use client';

import SearchRounded from '@mui/icons-material/SearchRounded';
import { InputAdornment, Popover, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import { addables, type Addable } from '../../project/addables';
import { ChoiceField } from '../fields/ChoiceField';
import { CARD } from '../pictures/AddableCard';
import { AddableGroup } from '../pictures/AddableGroup';
import { useKits, useRun } from '../state/app-context';
import { useAdd, type AddPlace } from './use-add';

/** So many pictures stand in a row. */
const ROW = 4;

/** What a new run is made of, as pictures, found by typing, and which path it follows; or one more course of the selected run. */
export function NewRunMenu({ anchor, onClose }: { anchor: HTMLElement; onClose: () => void }) {
  const addTo = useAdd();
  const kits = useKits((s) => s.kits);
  const current = useRun();
  const [typed, setTyped] = useState('');
  const [where, setWhere] = useState<AddPlace>('own');
  const own = { value: 'own' as const, label: 'a new one' };
  const found = addables(kits, typed);
  const groups = [...new Set(found.map(({ group }) => group))];
  const add = (item: Addable) => {
    addTo(item, where);
    onClose();
  };
  return (
    <Popover
      open
      anchorEl={anchor}
      onClose={onClose}
      disableRestoreFocus // the pen takes it
      anchorOrigin={{ vertical: 'top', horizontal: 'right' }}
      slotProps={{
        paper: {
          role: 'dialog',
          'aria-label': 'New run',
          sx: { width: ROW * (CARD.width + 12) + 36, maxHeight: 'min(600px, 76vh)', p: 4 },
        },
      }}
    >
      <TextField
        fullWidth
        autoFocus
        size="small"
        placeholder="Find: rope, rail, chain"
        value={typed}
        onChange={({ target }) => setTyped(target.value)}
        onKeyDown={(event) => event.key === 'Enter' && found.length > 0 && add(found[0])}
        slotProps={{
          htmlInput: { 'aria-label': 'Find what to add' },
          input: { startAdornment: <InputAdornment position="start"><SearchRounded sx={{ fontSize: 18 }} /></InputAdornment> }, // prettier-ignore
        }}
      />
      {current && (
        <ChoiceField
          label="Path"
          value={where}
          choices={[
            own,
            { value: 'along', label: `same path as ${current.name}` },
            { value: 'course', label: `one more course of ${current.name}` },
          ]}
          onChange={setWhere}
        />
      )}
      {found.length === 0 && (
        <Typography sx={{ mt: 3 }}>Nothing is called that. Try another word, or bring a mesh file.</Typography>
      )}
      {groups.map((group) => (
        <AddableGroup
          key={group}
          title={group}
          row={ROW}
          items={found.filter((item) => item.group === group)}
          onAdd={add}
        />
      ))}
    </Popover>
  );
}
