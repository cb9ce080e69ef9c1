'use client';

import type { Vec3 } from '../../core/math/vec3';
import type { Address } from '../../project/keys/address';
import { HasKeys } from './HasKeys';
import { NumberField } from './NumberField';

export const AXES = ['x', 'y (up)', 'z'] as const;
const REACH = { length: [0.1, 1e6], angle: [Math.PI / 36, 1e4] } as const;

export interface PlaceFieldProps {
  /** What its keys are said to be of. */
  readonly label: string;
  readonly quantity: keyof typeof REACH;
  readonly value: Vec3;
  readonly onChange: (value: Vec3) => void;
  /** Of each number; absent = {@link AXES}. */
  readonly labels?: readonly string[];
  /** Where all three stand in the project, so that they may have keys. */
  readonly of?: Address;
}

/** A place in metres or turns about three axes: three numbers that have keys together. */
export function PlaceField({ label, quantity, value, onChange, labels = AXES, of }: PlaceFieldProps) {
  const [step, most] = REACH[quantity];
  return labels.map((axis, c) => (
    <HasKeys key={axis} of={of} label={label}>
      <NumberField
        label={axis}
        quantity={quantity}
        step={step}
        min={-most}
        max={most}
        value={value[c]}
        onChange={(next) => onChange(value.map((old, k) => (k === c ? next : old)) as unknown as Vec3)}
      />
    </HasKeys>
  ));
}
