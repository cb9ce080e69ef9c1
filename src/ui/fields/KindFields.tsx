'use client';

import type { z } from 'zod';
import type { Kind } from '../../core/math/kind';
import type { Address } from '../../project/keys/address';
import { Fold } from './Fold';
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
  const shown = {
    of,
    initial: initial as FormValues | undefined,
    values: { ...values } as Readonly<Record<string, unknown>>,
    wrong: (key: string, value: unknown) => {
      const reason = read(key, value).error?.issues[0]?.message;
      return reason && `${reason[0].toUpperCase()}${reason.slice(1)}.`;
    },
    onChange: (key: string, value: unknown) => {
      const made = read(key, value);
      if (made.success) onChange(made.data);
    },
  };
  const seldom = kind.fields.filter(({ isSeldom }) => isSeldom);
  return (
    <>
      <FormFields fields={kind.fields.filter((field) => !seldom.includes(field))} {...shown} />
      {seldom.length > 0 && (
        <Fold title="More of it" summary={seldom.map(({ label }) => label.toLowerCase()).join(', ')}>
          <FormFields fields={seldom} {...shown} />
        </Fold>
      )}
    </>
  );
}
