'use client';

import type { VariationSpec } from '../../core/layout/variation';
import type { Address } from '../../project/keys/address';
import { NumberField } from '../fields/NumberField';

interface VariationFieldsProps {
  readonly variation: VariationSpec;
  readonly keys: Address;
  readonly onChange: (variation: VariationSpec) => void;
}

/** How far the pieces of a run may differ in colour and in where their texture starts. */
export function VariationFields({ variation, keys, onChange }: VariationFieldsProps) {
  const { tint, shift, seed } = variation;
  return (
    <>
      <NumberField
        label="Vary brightness by up to"
        initial={0}
        of={[...keys, 'tint']}
        quantity="percent"
        step={0.05}
        min={0}
        max={1}
        value={tint}
        onChange={(next) => onChange({ ...variation, tint: next })}
      />
      <NumberField
        label="Textures shifted by up to"
        initial={0}
        of={[...keys, 'shift']}
        quantity="length"
        step={0.1}
        min={0}
        max={1000}
        value={shift}
        onChange={(next) => onChange({ ...variation, shift: next })}
      />
      {(tint > 0 || shift > 0) && (
        <NumberField
          label="Seed of the variation"
          quantity="plain"
          step={1}
          min={0}
          max={1e6}
          value={seed}
          initial={1}
          onChange={(next) => onChange({ ...variation, seed: Math.round(next) })}
        />
      )}
    </>
  );
}
