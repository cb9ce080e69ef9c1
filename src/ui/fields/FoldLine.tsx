'use client';

import ExpandMoreRounded from '@mui/icons-material/ExpandMoreRounded';
import { Box, ButtonBase, Collapse } from '@mui/material';
import type { ReactNode } from 'react';
import { WholeParts } from './WholeParts';

export interface FoldLineProps {
  readonly title: string;
  /** What is set in it, in a few words. */
  readonly summary: string;
  readonly isOpen: boolean;
  readonly onToggle: () => void;
  readonly children: ReactNode;
}

/** Fields behind a line that says what they are set to. */
export function FoldLine({ title, summary, isOpen, onToggle, children }: FoldLineProps) {
  return (
    <Box sx={{ borderTop: '1px solid', borderColor: 'divider' }}>
      <ButtonBase
        aria-expanded={isOpen}
        onClick={onToggle}
        sx={{ width: '100%', height: 32, display: 'flex', gap: 2, justifyContent: 'space-between', fontSize: 13 }}
      >
        <span>{title}</span>
        <Box component="span" sx={{ flex: 1, minWidth: 0, fontSize: 12 }}>
          <WholeParts text={summary} isAtEnd />
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
