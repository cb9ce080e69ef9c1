'use client';

import { Box, Button, Divider, Popover, Typography } from '@mui/material';
import { useState } from 'react';
import { MAKER_GROUPS } from '../../core/segment/maker';
import { MAKERS } from '../../core/segment/registry';
import { sets } from '../../project/sets';
import { ChoiceField } from '../fields/ChoiceField';
import { useRun } from '../state/app-context';
import { useNewRun } from '../state/use-new-run';

const GROUPS = Object.entries(MAKER_GROUPS) as [keyof typeof MAKER_GROUPS, string][];

/** What a new run is made of, and which path it follows; or one more course of the selected run. */
export function NewRunMenu({ anchor, onClose }: { anchor: HTMLElement; onClose: () => void }) {
  const { addMade, addSet } = useNewRun();
  const current = useRun();
  const [where, setWhere] = useState<'own' | 'along' | 'course'>('own');
  const own = { value: 'own' as const, label: 'a new one' };
  const place = where === 'along' ? { path: current?.path } : where === 'course' ? { run: current?.id } : {};
  const entry = (key: string, label: string, hint: string, add: () => void) => (
    <Button
      key={key}
      fullWidth
      size="small"
      variant="text"
      color="secondary"
      title={hint}
      sx={{ justifyContent: 'flex-start', textAlign: 'left', fontWeight: 400, minHeight: 26, py: 0, px: 2, mx: -2 }}
      onClick={() => {
        add();
        onClose();
      }}
    >
      {label}
    </Button>
  );
  return (
    <Popover
      open
      anchorEl={anchor}
      onClose={onClose}
      disableRestoreFocus // the pen takes it
      anchorOrigin={{ vertical: 'top', horizontal: 'right' }}
      slotProps={{ paper: { role: 'dialog', 'aria-label': 'New run', sx: { width: 440, p: 4 } } }}
    >
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
      <Typography variant="caption" color="text.secondary" component="div" sx={{ mt: 2 }}>
        Ready sets
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', columnGap: 4 }}>
        {Object.values(sets).map(({ kind, label, hint }) => entry(kind, label, hint, () => addSet(kind, place)))}
      </Box>
      <Divider sx={{ my: 2 }} />
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', columnGap: 4, rowGap: 2 }}>
        {GROUPS.map(([group, title]) => (
          <Box key={group}>
            <Typography variant="caption" color="text.secondary">
              {title}
            </Typography>
            {MAKERS.filter((m) => m.group === group).map(({ kind, label, hint }) =>
              entry(kind, label, hint, () => addMade(kind, place)),
            )}
          </Box>
        ))}
      </Box>
    </Popover>
  );
}
