'use client';

import { Box } from '@mui/material';
import { OptionCard } from './OptionCard';

export interface Option<V> {
  readonly value: V;
  readonly label: string;
  readonly hint?: string;
  /** See `OptionCard`. */
  readonly consequence?: string;
}

export interface OptionCardsProps<V> {
  readonly label: string;
  readonly options: readonly Option<V>[];
  readonly value: V;
  /** Called with another one only. */
  readonly onChange: (value: V) => void;
}

/** One choice of several, card below card. */
export function OptionCards<V extends string>({ label, options, value, onChange }: OptionCardsProps<V>) {
  return (
    <Box role="radiogroup" aria-label={label} sx={{ display: 'grid', gap: 1.5 }}>
      {options.map(({ value: own, label: name, hint = '', consequence }) => (
        <OptionCard
          key={own}
          label={name}
          hint={hint || (consequence ?? name)}
          {...(consequence && { consequence })}
          isChosen={own === value}
          onChoose={() => own !== value && onChange(own)}
        />
      ))}
    </Box>
  );
}
