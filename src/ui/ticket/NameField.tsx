'use client';

import { Box, InputBase } from '@mui/material';
import { useState } from 'react';

export interface NameFieldProps {
  readonly name: string;
  /** What it is the name of, for assistive tools. */
  readonly label: string;
  readonly isFaint: boolean;
  readonly isRenamed: boolean;
  readonly onRename: (isRenamed: boolean) => void;
  readonly onName: (name: string) => void;
}

/** A name; a field while it is changed. */
export function NameField({ name, label, isFaint, isRenamed, onRename, onName }: NameFieldProps) {
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
        value={text ?? name}
        inputProps={{ 'aria-label': label, maxLength: 200 }}
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
        opacity: isFaint ? 0.55 : 1,
      }}
    >
      {name}
    </Box>
  );
}
