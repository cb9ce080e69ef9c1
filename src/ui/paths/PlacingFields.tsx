'use client';

import { Box, Typography } from '@mui/material';
import type { BroughtFile } from '../../engine/brought-file';
import type { DrawingPlane, Placing } from '../../formats/paths/place-paths';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';
import { SwitchField } from '../fields/SwitchField';
import { isNamedUnit, UnitField } from '../fields/UnitField';

const PLANES: readonly { value: DrawingPlane; label: string }[] = [
  { value: 'ground', label: 'on the ground' },
  { value: 'front', label: 'upright, as from the front' },
  { value: 'side', label: 'upright, as from the side' },
];

/** Units, plane and thinning of a brought path. */
export function PlacingFields(props: {
  placing: Placing;
  brought: BroughtFile;
  /** Metres: of the chosen line as it is placed. */
  length: number;
  onChange: (placing: Placing) => void;
}) {
  const { placing, brought, length, onChange } = props;
  const put = (change: Partial<Placing>) => onChange({ ...placing, ...change });
  const hasStraight = brought.lines.some(({ kind }) => kind === 'straight');
  return (
    <Box>
      <UnitField label="One unit is" value={placing.unit} onChange={(unit) => put({ unit })} />
      {!isNamedUnit(placing.unit) && (
        <NumberField
          label="One unit"
          quantity="length"
          step={0.001}
          min={1e-9}
          max={1e6}
          value={placing.unit}
          onChange={(unit) => put({ unit })}
        />
      )}
      <NumberField
        label="The chosen line is"
        quantity="length"
        step={0.1}
        min={1e-6}
        max={1e6}
        value={length}
        onChange={(wanted) => length > 0 && put({ unit: (placing.unit * wanted) / length })}
      />
      <Typography variant="body2" color="text.secondary">
        {brought.unit === undefined
          ? 'The file does not say what its units are.'
          : placing.unit === brought.unit
            ? 'As the file says.'
            : 'Not as the file says.'}
      </Typography>
      {brought.isFlat ? (
        <ChoiceField label="It lies" value={placing.plane} choices={PLANES} onChange={(plane) => put({ plane })} />
      ) : (
        <ChoiceField
          label="Up in the file"
          value={placing.up}
          choices={[
            { value: 'y', label: 'y' },
            { value: 'z', label: 'z' },
          ]}
          onChange={(up) => put({ up })}
        />
      )}
      {hasStraight && (
        <SwitchField
          label="Flowing, not in straight legs"
          value={placing.isSmooth}
          onChange={(isSmooth) => put({ isSmooth })}
        />
      )}
      {hasStraight && (
        <NumberField
          label="Thin out within"
          quantity="length"
          step={0.001}
          min={0}
          max={1000}
          value={placing.tolerance}
          onChange={(tolerance) => put({ tolerance })}
        />
      )}
      <SwitchField label="Begin at the origin" value={placing.toOrigin} onChange={(toOrigin) => put({ toOrigin })} />
    </Box>
  );
}
