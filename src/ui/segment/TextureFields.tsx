'use client';

import { FINISH_DEFAULTS } from '../../project/defaults';
import type { FinishSpec, TextureSpec } from '../../core/segment/finish/finish-spec';
import type { Address } from '../../project/keys/address';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';

export interface TextureFieldsProps {
  readonly finish: FinishSpec;
  readonly texture: TextureSpec;
  /** Where the finish stands in the project. */
  readonly keys: Address;
  readonly onChange: (change: Partial<FinishSpec>) => void;
}

/** How large a texture is and how it lies. */
export function TextureFields({ finish, texture, keys, onChange }: TextureFieldsProps) {
  return (
    <>
      {texture.from === 'pattern' && (
        <>
          <NumberField
            label="Contrast"
            of={[...keys, 'texture', 'contrast']}
            quantity="percent"
            step={0.05}
            min={0}
            max={1}
            value={texture.contrast}
            initial={0.5}
            onChange={(contrast) => onChange({ texture: { ...texture, contrast } })}
          />
          <NumberField
            label="Relief"
            of={[...keys, 'bump']}
            quantity="percent"
            step={0.1}
            min={0}
            max={4}
            value={finish.bump}
            initial={1}
            onChange={(bump) => onChange({ bump })}
          />
          <NumberField
            label="Seed"
            quantity="plain"
            step={1}
            min={0}
            max={1e6}
            value={texture.seed}
            initial={1}
            onChange={(seed) => onChange({ texture: { ...texture, seed: Math.round(seed) } })}
          />
        </>
      )}
      <NumberField
        label="One repeat is"
        of={[...keys, 'repeat']}
        quantity="length"
        step={0.01}
        min={1e-4}
        max={1e4}
        value={finish.repeat}
        initial={FINISH_DEFAULTS.repeat}
        onChange={(repeat) => onChange({ repeat })}
      />
      <ChoiceField
        label="Along the run"
        value={finish.fit}
        choices={[
          { value: 'whole', label: 'fits each piece' },
          { value: 'onward', label: 'on from piece to piece' },
        ]}
        onChange={(fit) => onChange({ fit })}
      />
      <NumberField
        label="Turned"
        of={[...keys, 'turn']}
        quantity="angle"
        step={Math.PI / 36}
        min={-7}
        max={7}
        value={finish.turn}
        initial={0}
        onChange={(turn) => onChange({ turn })}
      />
      <NumberField
        label="Moved along"
        of={[...keys, 'shiftAlong']}
        quantity="length"
        step={0.01}
        value={finish.shiftAlong}
        initial={0}
        onChange={(shiftAlong) => onChange({ shiftAlong })}
      />
      <NumberField
        label="Moved round"
        of={[...keys, 'shiftRound']}
        quantity="length"
        step={0.01}
        value={finish.shiftRound}
        initial={0}
        onChange={(shiftRound) => onChange({ shiftRound })}
      />
    </>
  );
}
