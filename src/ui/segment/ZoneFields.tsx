'use client';

import DeleteOutlineRounded from '@mui/icons-material/DeleteOutlineRounded';
import { Box, Button, IconButton, Typography } from '@mui/material';
import type { PrepareSpec } from '../../core/segment/segment-spec';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';
import { LooseParts } from './LooseParts';
import type { PrepareFieldsProps } from './TurnFields';

/** Stretches of the segment that must not bend, and the head and tail that are laid once. */
export function ZoneFields(props: PrepareFieldsProps) {
  const { prepare, view, onChange } = props;
  const { stiff, head, tail } = prepare;
  const length = view?.length ?? 1;
  const put = (next: PrepareSpec['stiff']) => onChange({ stiff: next });
  const set = (at: number, change: Partial<PrepareSpec['stiff'][number]>) =>
    put(stiff.map((zone, i) => (i === at ? { ...zone, ...change } : zone)));
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      <Box>
        <Typography variant="h3">Stiff zones</Typography>
        {stiff.map(({ from, to }, i) => (
          <Box key={i} sx={{ display: 'grid', gridTemplateColumns: '1fr 28px', alignItems: 'center' }}>
            <Box>
              <NumberField
                label="from"
                quantity="length"
                step={0.01}
                min={0}
                max={length}
                value={from}
                onChange={(value) => set(i, { from: value })}
              />
              <NumberField
                label="to"
                quantity="length"
                step={0.01}
                min={0}
                max={length}
                value={to}
                onChange={(value) => set(i, { to: value })}
              />
            </Box>
            <IconButton
              size="small"
              aria-label={`Delete stiff zone ${i + 1}`}
              onClick={() => put(stiff.filter((_, k) => k !== i))}
            >
              <DeleteOutlineRounded sx={{ fontSize: 16 }} />
            </IconButton>
          </Box>
        ))}
        <Button
          size="small"
          variant="text"
          color="secondary"
          sx={{ mx: -2 }}
          onClick={() => put([...stiff, { from: length * 0.4, to: length * 0.6 }])}
        >
          Add a zone
        </Button>
        {view && view.parts.length > 1 && (
          <ChoiceField
            label="Where a part lies"
            value=""
            choices={view.parts.map(({ name }, i) => ({ value: String(i), label: name }))}
            onChange={(value) => {
              const { from, to } = view.parts[Number(value)];
              put([...stiff, { from, to }]);
            }}
          />
        )}
        <Typography variant="body2" color="text.secondary">
          A stiff zone keeps its shape and is only carried and turned; the rest of the piece bends.
        </Typography>
      </Box>
      {view && view.parts.length > 1 && <LooseParts {...props} />}
      <Box>
        <Typography variant="h3">Head and tail</Typography>
        <NumberField
          label="Head"
          quantity="length"
          step={0.01}
          min={0}
          max={length}
          value={head}
          initial={0}
          onChange={(value) => onChange({ head: value })}
        />
        <NumberField
          label="Tail"
          quantity="length"
          step={0.01}
          min={0}
          max={length}
          value={tail}
          initial={0}
          onChange={(value) => onChange({ tail: value })}
        />
        <Typography variant="body2" color="text.secondary">
          Cut off at these lengths and laid once each; what lies between them repeats.
        </Typography>
      </Box>
    </Box>
  );
}
