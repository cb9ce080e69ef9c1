'use client';

import { Box, Button, Typography } from '@mui/material';
import type { PrepareSpec } from '../../core/segment/segment-spec';
import type { SegmentView } from '../../engine/segment-view';
import type { Segment } from '../../project/schema';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';
import { SwitchField } from '../fields/SwitchField';
import { UnitField } from '../fields/UnitField';
import { AxisChoice } from './AxisChoice';
import { SideQuestion } from './SideQuestion';

export interface PrepareFieldsProps {
  readonly segment: Segment;
  readonly prepare: PrepareSpec;
  readonly view: SegmentView | undefined;
  readonly isBrought: boolean;
  readonly onChange: (change: Partial<PrepareSpec>) => void;
}

/** Which way the segment lies, how large it is, and where the path goes through it. */
export function TurnFields({ prepare, view, isBrought, onChange }: PrepareFieldsProps) {
  const { forward, up, reversed, quarters, mirrored, centre, unit, size } = prepare;
  const measure = view ? { length: view.length, height: heightOf(view), width: widthOf(view) } : undefined;
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      {isBrought && (
        <>
          <UnitField label="The file is in" value={unit} onChange={(value) => onChange({ unit: value })} />
          {view && <SideQuestion prepare={prepare} view={view} onChange={onChange} />}
          <AxisChoice
            label="Forward (F)"
            value={forward}
            found={[
              { value: 'auto', label: 'longest side' },
              { value: 'principal', label: 'along its body' },
            ]}
            onChange={(value) => onChange({ forward: value })}
          />
          {forward !== 'principal' && (
            <AxisChoice
              label="Up (U)"
              value={up}
              found={[{ value: 'auto', label: 'found' }]}
              onChange={(value) => onChange({ up: value })}
            />
          )}
        </>
      )}
      <Box>
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2, mb: 1 }}>
          <Button
            variant="outlined"
            color="secondary"
            aria-pressed={reversed}
            onClick={() => onChange({ reversed: !reversed })}
          >
            End for end
          </Button>
          <Button
            variant="outlined"
            color="secondary"
            onClick={() => onChange({ quarters: ((quarters + 1) % 4) as PrepareSpec['quarters'] })}
          >
            Roll by 90°
          </Button>
        </Box>
        <SwitchField
          label="Mirrored left to right"
          value={mirrored}
          onChange={(value) => onChange({ mirrored: value })}
        />
        <ChoiceField
          label="On the path"
          value={centre}
          choices={[
            { value: 'own', label: 'as modelled' },
            { value: 'middle', label: 'its middle' },
            { value: 'foot', label: 'standing on it' },
          ]}
          onChange={(value) => onChange({ centre: value, offsetUp: 0, offsetSide: 0 })}
        />
        <NumberField
          label="Moved up"
          quantity="length"
          step={0.01}
          value={prepare.offsetUp}
          initial={0}
          min={-1e4}
          max={1e4}
          onChange={(offsetUp) => onChange({ offsetUp })}
        />
        <NumberField
          label="Moved to the right"
          quantity="length"
          step={0.01}
          value={prepare.offsetSide}
          initial={0}
          min={-1e4}
          max={1e4}
          onChange={(offsetSide) => onChange({ offsetSide })}
        />
        <ChoiceField
          label="Size"
          value={size?.of ?? 'none'}
          choices={[
            { value: 'none', label: 'as it is' },
            { value: 'length', label: 'to a length' },
            { value: 'height', label: 'to a height' },
            { value: 'width', label: 'to a width' },
          ]}
          onChange={(of) =>
            onChange({ size: of === 'none' ? null : { of, metres: Math.max(measure?.[of] ?? 1, 1e-4) } })
          }
        />
        {size && (
          <NumberField
            label={`Its ${size.of}`}
            quantity="length"
            step={0.01}
            min={1e-4}
            max={1e5}
            value={size.metres}
            onChange={(metres) => onChange({ size: { ...size, metres } })}
          />
        )}
      </Box>
      <Typography variant="body2" color="text.secondary">
        Turns and scales are built into the vertices; nothing is left over that a bend could skew.
      </Typography>
    </Box>
  );
}

const heightOf = ({ box }: SegmentView) => box.max[1] - box.min[1];
const widthOf = ({ box }: SegmentView) => box.max[2] - box.min[2];
