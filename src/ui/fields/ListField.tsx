'use client';

import { quantityText, readQuantity, type QuantityName } from './quantity';
import { TypedField } from './TypedField';

export interface ListFieldProps {
  readonly label: string;
  readonly values: readonly number[];
  readonly quantity: QuantityName;
  /** Why numbers cannot be these. */
  readonly wrong?: (values: readonly number[]) => string | undefined;
  readonly onChange: (values: readonly number[]) => void;
}

/** Several numbers with their units, parted by semicolons. */
export function ListField({ label, values, quantity, wrong, onChange }: ListFieldProps) {
  const isLength = quantity === 'length';
  return (
    <TypedField
      label={label}
      text={values.map((value) => quantityText(value, quantity)).join('; ')}
      placeholder={isLength ? '0.5 m; 1.2 m' : '3; 1'}
      read={(text) => {
        const parts = text.split(';').filter((part) => part.trim() !== '');
        const read = parts.map((part) => readQuantity(part, quantity));
        if (!read.every((value) => value !== undefined))
          return { wrong: `Numbers${isLength ? ' with units' : ''}, parted by semicolons.` };
        const reason = wrong?.(read);
        return reason === undefined ? { value: read } : { wrong: reason };
      }}
      onChange={onChange}
    />
  );
}
