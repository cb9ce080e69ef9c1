'use client';

import AddRounded from '@mui/icons-material/AddRounded';
import { Box, Button, Typography } from '@mui/material';
import { useState } from 'react';
import { dressingOf } from '../../project/commands/dressing';
import type { StepProps } from '../ticket/step-props';
import { AddDressingMenu } from './AddDressingMenu';
import { CoatFields } from './CoatFields';
import { DressingRow } from './DressingRow';

/** What stands on the run and lies about on it, and what covers parts of it. */
export function DressingStep({ run, segment, result }: StepProps) {
  const [anchor, setAnchor] = useState<HTMLElement>();
  const [open, setOpen] = useState<string>();
  const kinds = dressingOf(run);
  return (
    <>
      {kinds.length > 0 && (
        <Box>
          {kinds.map((course) => (
            <DressingRow
              key={course.id}
              run={run}
              course={course}
              isOpen={open === course.id}
              onToggle={() => setOpen(open === course.id ? undefined : course.id)}
            />
          ))}
        </Box>
      )}
      <Button
        variant="outlined"
        color="secondary"
        startIcon={<AddRounded />}
        aria-haspopup="dialog"
        onClick={({ currentTarget }) => setAnchor(currentTarget)}
      >
        Add something
      </Button>
      {anchor && <AddDressingMenu run={run} anchor={anchor} onAdded={setOpen} onClose={() => setAnchor(undefined)} />}
      <Typography sx={{ fontWeight: 650, pt: 1 }}>Coat of {segment.name}</Typography>
      <CoatFields segment={segment} result={result} />
    </>
  );
}
