'use client';

import { Box, ButtonBase, Tooltip } from '@mui/material';

export interface OptionCardProps {
  readonly label: string;
  readonly hint: string;
  /** What choosing it comes to. */
  readonly consequence?: string;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
}

/** One choice of several, with its consequence beside it; the chosen one has a bar. */
export function OptionCard({ label, hint, consequence, isChosen, onChoose }: OptionCardProps) {
  return (
    <Tooltip describeChild title={hint} placement="right">
      <ButtonBase
        role="radio"
        aria-checked={isChosen}
        onClick={onChoose}
        sx={{
          width: '100%',
          minHeight: 32,
          px: 2.5,
          justifyContent: 'space-between',
          gap: 2,
          borderRadius: 1,
          border: '1px solid',
          borderColor: isChosen ? 'primary.main' : 'divider',
          boxShadow: isChosen ? 'inset 3px 0 0 var(--mui-palette-primary-main)' : 'none',
          bgcolor: 'background.paper',
          fontSize: 13,
          textAlign: 'left',
        }}
      >
        <span>{label}</span>
        {consequence && (
          <Box component="span" sx={{ color: 'text.secondary', whiteSpace: 'nowrap' }}>
            {consequence}
          </Box>
        )}
      </ButtonBase>
    </Tooltip>
  );
}
