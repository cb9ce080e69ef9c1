'use client';

import { Box, InputBase } from '@mui/material';
import { useState } from 'react';
import type { Run } from '../../project/schema';

export interface RunNameProps {
  readonly run: Run;
  readonly isRenamed: boolean;
  readonly onRename: (isRenamed: boolean) => void;
  readonly onName: (name: string) => void;
}

/** A run's name; a field while it is renamed. */
export function RunName({ run, isRenamed, onRename, onName }: RunNameProps) {
  const [text, setText] = useState<string>();
  const finish = (isKept: boolean) => {
    if (isKept && text !== undefined) onName(text);
    setText(undefined);
    onRename(false);
  };
  if (isRenamed) {
    return (
      <InputBase
        autoFocus
        value={text ?? run.name}
        inputProps={{ 'aria-label': 'Name of the run', maxLength: 200 }}
        onFocus={(event) => event.target.select()}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => finish(true)}
        onKeyDown={(event) => {
          event.stopPropagation();
          if (event.key === 'Enter') finish(true);
          if (event.key === 'Escape') finish(false);
        }}
        sx={{ flex: 1, fontSize: 13, bgcolor: 'background.paper', px: 1, borderRadius: 0.5 }}
      />
    );
  }
  return (
    <Box
      component="span"
      onDoubleClick={(event) => {
        event.stopPropagation();
        onRename(true);
      }}
      sx={{
        flex: 1,
        textAlign: 'left',
        overflow: 'hidden',
        textOverflow: 'ellipsis',
        whiteSpace: 'nowrap',
        opacity: run.visible ? 1 : 0.55,
      }}
    >
      {run.name}
    </Box>
  );
}
