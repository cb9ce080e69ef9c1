'use client';

import { Box, Button, Popover, Typography } from '@mui/material';
import { useState } from 'react';
import { MAKER_GROUPS } from '../../core/segment/maker';
import { MAKERS } from '../../core/segment/registry';
import { ChoiceField } from '../fields/ChoiceField';
import { useRun } from '../state/app-context';
import { useNewRun } from '../state/use-new-run';

const GROUPS = Object.entries(MAKER_GROUPS) as [keyof typeof MAKER_GROUPS, string][];

/** What a new run is made of, and which path it follows. */
export function NewRunMenu({ anchor, onClose }: { anchor: HTMLElement; onClose: () => void }) {
  const { addMade } = useNewRun();
  const current = useRun();
  const [where, setWhere] = useState<'own' | 'along'>('own');
  const own = { value: 'own' as const, label: 'a new one' };
  return (
    <Popover
      open
      anchorEl={anchor}
      onClose={onClose}
      disableRestoreFocus // the pen takes it
      anchorOrigin={{ vertical: 'top', horizontal: 'right' }}
      slotProps={{ paper: { role: 'dialog', 'aria-label': 'New run', sx: { width: 420, p: 4 } } }}
    >
      {current && (
        <ChoiceField
          label="Path"
          value={where}
          choices={[own, { value: 'along', label: `same path as ${current.name}` }]}
          onChange={setWhere}
        />
      )}
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', columnGap: 4, rowGap: 3, mt: 2 }}>
        {GROUPS.map(([group, title]) => (
          <Box key={group}>
            <Typography variant="caption" color="text.secondary">
              {title}
            </Typography>
            {MAKERS.filter((m) => m.group === group).map(({ kind, label, hint }) => (
              <Button
                key={kind}
                fullWidth
                size="small"
                variant="text"
                color="secondary"
                title={hint}
                sx={{ justifyContent: 'flex-start', fontWeight: 400, minHeight: 28, px: 2, mx: -2 }}
                onClick={() => {
                  addMade(kind, where === 'along' ? current?.path : undefined);
                  onClose();
                }}
              >
                {label}
              </Button>
            ))}
          </Box>
        ))}
      </Box>
    </Popover>
  );
}
