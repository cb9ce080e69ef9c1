'use client';

import SearchRounded from '@mui/icons-material/SearchRounded';
import { Box, InputAdornment, Popover, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import { useKitActions } from '../kits/use-kit-actions';
import { addables, type Addable } from '../../project/addables';
import { ChoiceField } from '../fields/ChoiceField';
import { AddableCard, CARD } from '../pictures/AddableCard';
import { useKits, useRun } from '../state/app-context';
import { useNewRun } from '../state/use-new-run';

/** So many pictures stand in a row. */
const ROW = 4;

/** What a new run is made of, as pictures, found by typing, and which path it follows; or one more course of the selected run. */
export function NewRunMenu({ anchor, onClose }: { anchor: HTMLElement; onClose: () => void }) {
  const { addMade, addSet } = useNewRun();
  const { lay, layOnNewPath } = useKitActions();
  const kits = useKits((s) => s.kits);
  const current = useRun();
  const [typed, setTyped] = useState('');
  const [where, setWhere] = useState<'own' | 'along' | 'course'>('own');
  const own = { value: 'own' as const, label: 'a new one' };
  const place = where === 'along' ? { path: current?.path } : where === 'course' ? { run: current?.id } : {};
  const found = addables(kits, typed);
  const groups = [...new Set(found.map(({ group }) => group))];
  const add = ({ of }: Addable) => {
    if ('set' in of) addSet(of.set, place);
    else if ('maker' in of) addMade(of.maker, place);
    else if (where !== 'own' && current) lay(of.kit, current.path, true);
    else layOnNewPath(of.kit);
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
        <Box key={group} role="group" aria-label={group} sx={{ mt: 2 }}>
          <Typography variant="caption" color="text.secondary">
            {group}
          </Typography>
          <Box sx={{ display: 'grid', gridTemplateColumns: `repeat(${ROW}, ${CARD.width}px)`, gap: 3 }}>
            {found
              .filter((item) => item.group === group)
              .map((item) => (
                <AddableCard key={item.key} item={item} onAdd={() => add(item)} />
              ))}
          </Box>
        </Box>
      ))}
    </Popover>
  );
}
