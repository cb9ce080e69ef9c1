'use client';

import { ChoiceField } from '../fields/ChoiceField';
import { SwitchField } from '../fields/SwitchField';
import type { Exported } from './use-exported';

/** Which runs, and whether guides and wheels go with them. */
export function WhatFields({ what, setWhat, guides, setGuides, selected, hasBeside, hasWheels }: Exported) {
  return (
    <>
      <ChoiceField
        label="Runs"
        value={what}
        choices={[
          { value: 'all', label: 'all that are shown' },
          { value: 'one', label: selected ? `only ${selected.name}` : 'only the selected' },
        ]}
        onChange={setWhat}
      />
      {hasBeside && (
        <SwitchField label={hasWheels ? 'Guides and wheels too' : 'Guides too'} value={guides} onChange={setGuides} />
      )}
    </>
  );
}
