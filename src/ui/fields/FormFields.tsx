'use client';

import type { FormField } from '../../core/math/form-field';
import { ChoiceField } from './ChoiceField';
import { NumberField } from './NumberField';
import type { QuantityName } from './quantity';
import { SwitchField } from './SwitchField';

export type FormValues = Readonly<Record<string, unknown>>;

/** The fields of a kind with the values that it has. */
export function FormFields({
  fields,
  values,
  onChange,
}: {
  readonly fields: readonly FormField[];
  readonly values: FormValues;
  readonly onChange: (key: string, value: unknown) => void;
}) {
  return fields
    .filter(({ appliesTo }) => appliesTo?.(values) ?? true)
    .map((field) => (
      <Field key={field.key} field={field} value={values[field.key]} onChange={(value) => onChange(field.key, value)} />
    ));
}

const QUANTITY = {
  m: 'length',
  'm/s': 'speed',
  s: 'time',
  angle: 'angle',
  count: 'plain',
  ratio: 'plain',
  share: 'percent',
} as const satisfies Record<string, QuantityName>;

interface FieldProps {
  readonly field: FormField;
  readonly value: unknown;
  readonly onChange: (value: unknown) => void;
}

function Field({ field, value, onChange }: FieldProps) {
  switch (field.input) {
    case 'choice':
      return <ChoiceField label={field.label} value={String(value)} choices={field.choices} onChange={onChange} />;
    case 'switch':
      return <SwitchField label={field.label} value={Boolean(value)} onChange={onChange} />;
    case 'number':
      return (
        <NumberField
          label={field.label}
          value={Number(value)}
          quantity={QUANTITY[field.unit]}
          step={field.step}
          {...(field.least !== undefined && { min: field.least })}
          {...(field.most !== undefined && { max: field.most })}
          onChange={(next) => onChange(field.unit === 'count' ? Math.round(next) : next)}
        />
      );
  }
}
