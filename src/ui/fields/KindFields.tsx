'use client';

import type { z } from 'zod';
import type { Kind } from '../../core/math/kind';
import type { Address } from '../../project/keys/address';
import { FormFields, type FormValues } from './FormFields';

export interface KindFieldsProps<S> {
  readonly kind: Pick<Kind<string, z.ZodType<S>>, 'schema' | 'fields'>;
  readonly values: S & object;
  /** See `FormFields`. */
  readonly of?: Address | undefined;
  readonly initial?: object | undefined;
  readonly onChange: (values: S) => void;
}

/** The fields of a kind; only values that make sense together are taken, and the field says why others are not. */
export function KindFields<S>({ kind, values, of, initial, onChange }: KindFieldsProps<S>) {
  const read = (key: string, value: unknown) => kind.schema.safeParse({ ...values, [key]: value });
  return (
    <FormFields
      fields={kind.fields}
      of={of}
      initial={initial as FormValues | undefined}
      values={{ ...values } as Readonly<Record<string, unknown>>}
      wrong={(key, value) => {
        const reason = read(key, value).error?.issues[0]?.message;
        return reason && `${reason[0].toUpperCase()}${reason.slice(1)}.`;
      }}
      onChange={(key, value) => {
        const made = read(key, value);
        if (made.success) onChange(made.data);
      }}
    />
  );
}
