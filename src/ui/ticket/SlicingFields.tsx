'use client';

import { Typography } from '@mui/material';
import type { Run } from '../../project/schema';
import type { Address } from '../../project/keys/address';
import { ChoiceField } from '../fields/ChoiceField';
import { ListField } from '../fields/ListField';
import { NumberField } from '../fields/NumberField';
import { whole } from '../format';
import { SLICING_STARTS } from '../../core/segment/slicing-spec';
import type { SlicingCounts } from '../../engine/slicing-counts';
import type { CourseView } from '../state/results-store';

type Slicing = Run['bending']['slicing'];

export interface SlicingFieldsProps {
  readonly slicing: Slicing;
  readonly keys: Address;
  readonly result: CourseView | undefined;
  /** Triangles that each way would come to. */
  readonly counts: SlicingCounts | undefined;
  readonly onChange: (slicing: Slicing) => void;
}

/** Where the segment is sliced so that it can bend, and what the path would need. */
export function SlicingFields({ slicing, keys, result, counts, onChange }: SlicingFieldsProps) {
  const needed = result?.segment.neededPerMetre ?? 0;
  /** How many triangles a choice would come to, said before it is made. */
  const counted = (by: keyof SlicingCounts, how = '') => {
    const count = counts?.[by];
    return count === undefined ? '' : `${how}${whole(count)} triangles`;
  };
  return (
    <>
      <ChoiceField
        label="Slices"
        value={slicing.by}
        choices={[
          { value: 'auto', label: 'as the path needs', note: counted('auto') },
          { value: 'rows', label: 'a number of rows', note: counted('rows', '16: ') },
          { value: 'spacing', label: 'rows at a spacing', note: counted('spacing', '0.25 m: ') },
          { value: 'at', label: 'at chosen places' },
          { value: 'off', label: 'none', note: counted('off') },
        ]}
        onChange={(by) => onChange(SLICING_STARTS[by])}
      />
      {slicing.by === 'rows' && (
        <NumberField
          label="Rows in a piece"
          of={[...keys, 'rows']}
          quantity="plain"
          step={1}
          min={1}
          max={4096}
          value={slicing.rows}
          onChange={(rows) => onChange({ by: 'rows', rows: Math.round(rows) })}
        />
      )}
      {slicing.by === 'spacing' && (
        <NumberField
          label="A row every"
          of={[...keys, 'spacing']}
          quantity="length"
          step={0.01}
          min={1e-4}
          max={1000}
          value={slicing.spacing}
          onChange={(spacing) => onChange({ by: 'spacing', spacing })}
        />
      )}
      {slicing.by === 'at' && (
        <ListField
          label="Cuts along the segment"
          quantity="length"
          values={slicing.at}
          onChange={(at) => onChange({ by: 'at', at: at.toSorted((a, b) => a - b) })}
        />
      )}
      {result && (
        <Typography variant="body2" color="text.secondary">
          {needed > 0.005
            ? `The tightest bend needs ${needed < 10 ? needed.toFixed(1) : whole(needed)} rows a metre`
            : 'The path is straight and needs no rows'}
          ; the densest piece has {whole(result.segment.rows)}.
        </Typography>
      )}
    </>
  );
}
