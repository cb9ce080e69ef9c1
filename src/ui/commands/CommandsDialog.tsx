'use client';

import { Autocomplete, Box, createFilterOptions, Dialog, TextField } from '@mui/material';
import { useSet } from '../state/app-context';
import type { Command } from './command';
import { useCommands } from './use-commands';

/** Words are found wherever they stand in a command or where it lives. */
const filter = createFilterOptions<Command>({ stringify: ({ label, where }) => `${label} ${where}`, limit: 60 });

/** All commands, found by typing, with their keys and where they live. */
export function CommandsDialog() {
  const set = useSet();
  const commands = useCommands();
  const close = () => set({ dialog: undefined });
  return (
    <Dialog
      open
      onClose={close}
      slotProps={{
        paper: {
          'aria-label': 'Commands',
          sx: { width: 560, position: 'absolute', top: 72, m: 0, overflow: 'visible' },
        },
      }}
    >
      <Autocomplete
        open
        openOnFocus
        autoHighlight
        disablePortal
        options={commands}
        filterOptions={filter}
        getOptionLabel={({ label }) => label}
        getOptionKey={(option) => commands.indexOf(option)} // two runs may have one name
        noOptionsText="Nothing is called that."
        onClose={(_, reason) => reason === 'escape' && close()}
        onChange={(_, command) => {
          close();
          command?.act();
        }}
        slotProps={{ listbox: { sx: { maxHeight: 420 } } }}
        renderOption={({ key, ...props }, { label, where, keyName }) => (
          <Box component="li" key={key} {...props} sx={{ display: 'flex', gap: 3, fontSize: 13 }}>
            <Box component="span" sx={{ flex: 1 }}>
              {label}
            </Box>
            <Box component="span" sx={{ color: 'text.secondary', fontSize: 12 }}>
              {where}
            </Box>
            {keyName && (
              <Box component="kbd" sx={{ fontFamily: 'inherit', fontSize: 12, fontWeight: 650 }}>
                {keyName}
              </Box>
            )}
          </Box>
        )}
        renderInput={(params) => <TextField {...params} autoFocus placeholder="What do you want to do?" />}
        sx={{ p: 3 }}
      />
    </Dialog>
  );
}
