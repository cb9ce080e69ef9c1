'use client';

import { Box, ButtonBase, Popover } from '@mui/material';
import { useState } from 'react';
import { easingOf, EASINGS, type EasingSpec } from '../../core/motion/easing-registry';
import { useGesture } from '../state/app-context';
import { EasingEditor } from './EasingEditor';
import { EasingPicture } from './EasingPicture';
import { KindFields } from './KindFields';

export interface EasingFieldProps {
  readonly label: string;
  readonly value: EasingSpec;
  readonly onChange: (value: EasingSpec) => void;
}

/** The pace from one value to the next: shown as its curve, chosen among the curves of all. */
export function EasingField({ label, value, onChange }: EasingFieldProps) {
  const gesture = useGesture();
  const [anchor, setAnchor] = useState<HTMLElement>();
  const own = easingOf(value);
  const box = { border: '1px solid', borderRadius: 1, bgcolor: 'background.paper', fontSize: 13 } as const;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', minHeight: 34, gap: 2 }}>
      <Box component="span" sx={{ color: 'text.secondary' }}>
        {label}
      </Box>
      <ButtonBase
        aria-label={`${label}: ${own.label}`}
        aria-haspopup="dialog"
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ ...box, borderColor: 'divider', height: 30, px: 2, gap: 2 }}
      >
        <EasingPicture easing={value} width={26} height={18} />
        {own.label}
      </ButtonBase>
      {anchor && (
        <Popover
          open
          anchorEl={anchor}
          onClose={() => setAnchor(undefined)}
          anchorOrigin={{ vertical: 'top', horizontal: 'left' }}
          transformOrigin={{ vertical: 'bottom', horizontal: 'left' }}
          slotProps={{
            paper: { role: 'dialog', 'aria-label': label, sx: { width: 430, p: 4, display: 'grid', gap: 3 } },
          }}
        >
          <Box role="radiogroup" aria-label={label} sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
            {EASINGS.map(({ kind, label: name, hint, defaults }) => (
              <ButtonBase
                key={kind}
                role="radio"
                aria-checked={kind === value.kind}
                title={hint}
                onClick={() => kind !== value.kind && onChange(defaults)}
                sx={{
                  ...{ ...box, px: 2.5, height: 38, gap: 3, justifyContent: 'flex-start' },
                  borderColor: kind === value.kind ? 'primary.main' : 'divider',
                  boxShadow: kind === value.kind ? 'inset 3px 0 0 var(--mui-palette-primary-main)' : 'none',
                }}
              >
                <EasingPicture easing={kind === value.kind ? value : defaults} width={30} height={22} />
                {name}
              </ButtonBase>
            ))}
          </Box>
          <Box sx={{ display: 'flex', gap: 4, alignItems: 'center' }}>
            {value.kind === 'curve' && (
              <EasingEditor easing={value} onChange={onChange} onGesture={(is) => gesture[is]()} />
            )}
            <Box sx={{ flex: 1 }}>
              <KindFields kind={own} values={value} onChange={onChange} />
            </Box>
          </Box>
        </Popover>
      )}
    </Box>
  );
}
