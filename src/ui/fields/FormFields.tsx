'use client';

import type { FormField } from '../../core/math/form-field';
import type { Address } from '../../project/keys/address';
import { ChoiceField } from './ChoiceField';
import { ListField } from './ListField';
import { NumberField } from './NumberField';
import type { QuantityName } from './quantity';
import { SwitchField } from './SwitchField';
import { TypedField } from './TypedField';

export type FormValues = Readonly<Record<string, unknown>>;

/** The fields of a kind with the values that it has. */
export function FormFields({
  fields,
  values,
  wrong,
  of,
  initial,
  onChange,
}: {
  readonly fields: readonly FormField[];
  readonly values: FormValues;
  /** Why a field cannot have a value. */
  readonly wrong?: (key: string, value: unknown) => string | undefined;
  /** Where the values stand in the project, so that they may have keys. */
  readonly of?: Address | undefined;
  /** What the values are where nobody has said anything. */
  readonly initial?: FormValues | undefined;
  readonly onChange: (key: string, value: unknown) => void;
}) {
  return fields
    .filter(({ appliesTo }) => appliesTo?.(values) ?? true)
    .map((field) => (
      <Field
        key={field.key}
        field={field}
        of={of && [...of, field.key]}
        value={values[field.key]}
        initial={initial?.[field.key]}
        wrong={(value) => wrong?.(field.key, value)}
        onChange={(value) => onChange(field.key, value)}
      />
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
  readonly of: Address | undefined;
  readonly value: unknown;
  readonly initial: unknown;
  readonly wrong: (value: unknown) => string | undefined;
  readonly onChange: (value: unknown) => void;
}

function Field({ field, of, value, initial, wrong, onChange }: FieldProps) {
  switch (field.input) {
    case 'choice':
      return (
        <ChoiceField
          label={field.label}
          value={String(value ?? field.choices[0].value)}
          choices={field.choices}
          onChange={onChange}
        />
      );
    case 'switch':
      return <SwitchField label={field.label} value={Boolean(value)} onChange={onChange} />;
    case 'text':
      return (
        <TypedField
          label={field.label}
          text={String(value)}
          read={(text) => {
            const reason = wrong(text);
            return reason === undefined ? { value: text } : { wrong: reason };
          }}
          onChange={onChange}
        />
      );
    case 'list':
      return (
        <ListField
          label={field.label}
          values={value as readonly number[]}
          quantity={QUANTITY[field.unit]}
          wrong={wrong}
          onChange={onChange}
        />
      );
    case 'number':
      return (
        <NumberField
          label={field.label}
          of={of}
          value={Number(value)}
          initial={typeof initial === 'number' ? initial : undefined}
          quantity={QUANTITY[field.unit]}
          step={field.step}
          {...(field.least !== undefined && { min: field.least })}
          {...(field.most !== undefined && { max: field.most })}
          onChange={(next) => onChange(field.unit === 'count' ? Math.round(next) : next)}
        />
      );
  }
}
