'use client';

import ExpandMoreRounded from '@mui/icons-material/ExpandMoreRounded';
import { Box, ButtonBase, Collapse } from '@mui/material';
import type { ReactNode } from 'react';
import { useFold } from '../state/app-context';

export interface FoldProps {
  readonly title: string;
  /** What is set in it, in a few words. */
  readonly summary: string;
  readonly children: ReactNode;
}

/** Fields that are seldom needed, behind a line that says what they are set to; it stays as it was left. */
export function Fold({ title, summary, children }: FoldProps) {
  const [isOpen, setOpen] = useFold(title);
  return (
    <Box sx={{ borderTop: '1px solid', borderColor: 'divider' }}>
      <ButtonBase
        aria-expanded={isOpen}
        onClick={() => setOpen(!isOpen)}
        sx={{ width: '100%', height: 32, display: 'flex', gap: 2, justifyContent: 'space-between', fontSize: 13 }}
      >
        <span>{title}</span>
        <Box
          component="span"
          sx={{
            flex: 1,
            minWidth: 0,
            textAlign: 'right',
            color: 'text.secondary',
            fontSize: 12,
            overflow: 'hidden',
            textOverflow: 'ellipsis',
            whiteSpace: 'nowrap',
          }}
        >
          {summary}
        </Box>
        <ExpandMoreRounded
          sx={{ fontSize: 16, color: 'text.secondary', transform: isOpen ? 'rotate(180deg)' : 'none' }}
        />
      </ButtonBase>
      <Collapse in={isOpen} unmountOnExit timeout={140}>
        <Box sx={{ pb: 2 }}>{children}</Box>
      </Collapse>
    </Box>
  );
}
