'use client';

import { InputBase, Box } from '@mui/material';
import { useId, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Address } from '../../project/keys/address';
import { useGesture } from '../state/app-context';
import { NUMBER_HINTS } from './number-hints';
import { HasKeys } from './HasKeys';
import { QUANTITIES, quantityText, readQuantity, type QuantityName } from './quantity';

export interface NumberFieldProps {
  readonly label: string;
  readonly value: number;
  readonly quantity: QuantityName;
  readonly onChange: (value: number) => void;
  /** Smallest sensible change, in the unit inside. */
  readonly step: number;
  readonly min?: number;
  readonly max?: number;
  /** Where it stands in the project, so that it may have keys. */
  readonly of?: Address | undefined;
  /** What it is where nobody has said anything: a double click on its label sets it back, and what differs is marked. */
  readonly initial?: number | undefined;
  /** What it does, in a few words. */
  readonly hint?: string | undefined;
}

/** A number with its unit: typed, turned with the arrow keys, or dragged by its label. */
export function NumberField({
  label,
  value,
  quantity,
  onChange,
  step,
  min = -Infinity,
  max = Infinity,
  of,
  initial,
  hint,
}: NumberFieldProps) {
  const id = useId();
  const gesture = useGesture();
  const [text, setText] = useState<string>();
  const drag = useRef<{ x: number; value: number } | undefined>(undefined);
  const shown = text ?? quantityText(value, quantity);
  const read = text === undefined ? value : readQuantity(text, quantity);
  const isWrong = read === undefined || read < min || read > max;

  const differs = initial !== undefined && Math.abs(value - initial) > 1e-9 * Math.max(1, Math.abs(initial));
  const title = [
    hint ?? NUMBER_HINTS[label],
    'Takes units and sums, such as 3*0.9. Drag to change.',
    differs && `A double click sets it back to ${quantityText(initial, quantity)}.`,
  ]
    .filter(Boolean)
    .join(' ');
  const commit = (next: number) => onChange(Math.min(Math.max(next, min), max));
  const round = (x: number) => Number((Math.round(x / step) * step).toPrecision(12));
  const finish = () => {
    if (text !== undefined && !isWrong && read !== value) commit(read);
    setText(undefined);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Enter') finish();
    if (event.key === 'Escape' && text !== undefined) {
      event.stopPropagation(); // takes back what was typed; the dialog round it stays
      setText(undefined);
    }
    if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
    event.preventDefault();
    const by = (event.key === 'ArrowUp' ? 1 : -1) * step * (event.shiftKey ? 10 : 1);
    setText(undefined);
    commit(round((isWrong ? value : read) + by));
  };
  const onPointerDown = (event: PointerEvent<HTMLLabelElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = { x: event.clientX, value };
    gesture.begin();
  };
  const onPointerMove = (event: PointerEvent) => {
    if (!drag.current) return;
    commit(round(drag.current.value + Math.trunc((event.clientX - drag.current.x) / 4) * step));
  };
  const onPointerUp = () => {
    drag.current = undefined;
    gesture.end();
  };

  return (
    <HasKeys of={of} label={label} value={value}>
      <Box
        sx={{ display: 'grid', gridTemplateColumns: '1fr 104px', alignItems: 'center', columnGap: 2, minHeight: 34 }}
      >
        <Box
          component="label"
          htmlFor={id}
          sx={{
            ...{ color: 'text.secondary', cursor: 'ew-resize', userSelect: 'none', touchAction: 'none' },
            ...(differs && { '&::after': { content: '"•"', ml: 1, color: 'tokens.cane' } }),
          }}
          onPointerDown={onPointerDown}
          onPointerMove={onPointerMove}
          onPointerUp={onPointerUp}
          onPointerCancel={onPointerUp}
          onDoubleClick={() => differs && onChange(initial)}
          title={title}
        >
          {label}
        </Box>
        <InputBase
          id={id}
          value={shown}
          error={isWrong}
          onChange={(event) => setText(event.target.value)}
          onFocus={(event) => event.target.select()}
          onBlur={finish}
          onKeyDown={onKeyDown}
          inputProps={{
            inputMode: 'decimal',
            'aria-invalid': isWrong,
            title: isWrong ? wrongWords(quantity, min, max) : undefined,
          }}
          sx={{
            height: 30,
            px: 2,
            borderRadius: 1,
            border: '1px solid',
            borderColor: isWrong ? 'error.main' : 'divider',
            bgcolor: 'background.paper',
            fontSize: 13,
            '& input': { textAlign: 'right', p: 0 },
            '&.Mui-focused': { borderColor: 'primary.main' },
          }}
        />
        {isWrong && (
          <Box role="alert" sx={{ gridColumn: '1 / -1', color: 'error.main', fontSize: 12, pb: 1 }}>
            {wrongWords(quantity, min, max)}
          </Box>
        )}
      </Box>
    </HasKeys>
  );
}

function wrongWords(quantity: QuantityName, min: number, max: number): string {
  const units = Object.keys(QUANTITIES[quantity].units).join(', ');
  const from = Number.isFinite(min) ? ` at least ${quantityText(min, quantity)}` : '';
  const to = Number.isFinite(max) ? ` at most ${quantityText(max, quantity)}` : '';
  return `Give a number${units ? ` (${units}), or a sum` : ' or a sum'}${from && `,${from}`}${to && `,${to}`}.`;
}
