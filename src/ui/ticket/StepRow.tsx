'use client';

import ExpandMoreRounded from '@mui/icons-material/ExpandMoreRounded';
import { Box, ButtonBase, Collapse, Tooltip } from '@mui/material';
import type { ReactNode } from 'react';
import { WholeParts } from '../fields/WholeParts';

export interface StepRowProps {
  readonly number: number;
  readonly title: string;
  readonly summary: string;
  readonly isOpen: boolean;
  readonly onToggle: () => void;
  readonly children: ReactNode;
}

/** A step of the ticket: a line that states its result, and its controls when it is open. */
export function StepRow({ number, title, summary, isOpen, onToggle, children }: StepRowProps) {
  return (
    <Box
      sx={{ borderBottom: '1px solid', borderColor: 'divider', bgcolor: isOpen ? 'background.default' : 'transparent' }}
    >
      <Tooltip describeChild title={isOpen ? '' : summary} placement="right">
        <ButtonBase
          aria-expanded={isOpen}
          onClick={onToggle}
          sx={{
            width: '100%',
            height: 38,
            px: 4,
            display: 'grid',
            gridTemplateColumns: '14px 66px minmax(0, 1fr) 18px',
            columnGap: 1,
            textAlign: 'left',
            alignItems: 'center',
          }}
        >
          <Box component="span" sx={{ color: (t) => t.vars!.palette.tokens.caneText, fontWeight: 700 }}>
            {number}
          </Box>
          <Box component="span" sx={{ typography: 'h3' }}>
            {title}
          </Box>
          <Box component="span" sx={{ minWidth: 0, fontSize: 12.5 }}>
            <WholeParts text={summary} />
          </Box>
          <ExpandMoreRounded
            sx={{
              fontSize: 18,
              color: 'text.secondary',
              transition: 'transform 140ms',
              transform: isOpen ? 'rotate(180deg)' : 'none',
            }}
          />
        </ButtonBase>
      </Tooltip>
      <Collapse in={isOpen} unmountOnExit timeout={140}>
        <Box sx={{ px: 4, pb: 3, display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1.5 }}>{children}</Box>
      </Collapse>
    </Box>
  );
}
