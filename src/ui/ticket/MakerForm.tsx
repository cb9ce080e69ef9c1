'use client';

import { Box, Button, Typography } from '@mui/material';
import type { MakerFigure } from '../../core/segment/maker';
import type { MakerField } from '../../core/segment/maker-field';
import { maker, toDrawn, type MakerSpec } from '../../core/segment/registry';
import { setMaker } from '../../project/commands/segments';
import type { Segment } from '../../project/schema';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';
import { SwitchField } from '../fields/SwitchField';
import { degrees, metres, whole } from '../format';
import { useEdit, useSet } from '../state/app-context';

type Values = Readonly<Record<string, unknown>>;

export interface MakerFormProps {
  readonly segment: Segment;
  readonly spec: MakerSpec;
  /** As it is laid: what fills a path is as long as that. */
  readonly seen: MakerSpec;
}

/** The few numbers of a made segment, and what they come to. */
export function MakerForm({ segment, spec, seen }: MakerFormProps) {
  const edit = useEdit();
  const set = useSet();
  const own = maker(spec.kind);
  const put = (next: object) => {
    const read = own.schema.safeParse(next);
    if (read.success) edit((project) => setMaker(project, segment.id, read.data as MakerSpec));
  };
  const values = spec as unknown as Values;
  const isFine = own.problem?.(spec) === undefined;
  const drawn = isFine ? toDrawn(spec) : undefined;
  const isDrawn = spec.kind === 'crossSection' || spec.kind === 'turnedProfile';
  return (
    <>
      <Box>
        {own.fields
          .filter(({ appliesTo }) => appliesTo?.(values) ?? true)
          .map((field) => (
            <Field
              key={field.key}
              field={field}
              value={values[field.key]}
              onChange={(value) => put({ ...spec, [field.key]: value })}
            />
          ))}
      </Box>
      {isDrawn && (
        <Button size="small" variant="outlined" color="secondary" onClick={() => set({ dialog: 'section' })}>
          {spec.kind === 'crossSection' ? 'Draw the cross-section' : 'Draw the profile'}
        </Button>
      )}
      {drawn && (
        <Button
          size="small"
          variant="outlined"
          color="secondary"
          onClick={() => {
            edit((project) => setMaker(project, segment.id, drawn));
            set({ dialog: 'section' });
          }}
        >
          {drawn.kind === 'crossSection' ? 'Turn into an outline to draw' : 'Turn into a profile to draw'}
        </Button>
      )}
      {isFine && own.figures && (
        <Typography variant="body2" color="text.secondary">
          {own
            .figures(seen)
            .map((figure) => `${figure.label} ${figureText(figure)}`)
            .join(' · ')}
        </Typography>
      )}
    </>
  );
}

function figureText({ value, unit }: MakerFigure): string {
  if (unit === 'angle') return degrees(value);
  if (unit === 'm') return value < 0.1 ? `${Number((value * 1000).toPrecision(4))} mm` : metres(value);
  return Number.isInteger(value) ? whole(value) : value.toFixed(2);
}

interface FieldProps {
  readonly field: MakerField;
  readonly value: unknown;
  readonly onChange: (value: unknown) => void;
}

const QUANTITY = { m: 'length', angle: 'angle', count: 'plain', ratio: 'plain', share: 'percent' } as const;

function Field({ field, value, onChange }: FieldProps) {
  switch (field.input) {
    case 'choice':
      return <ChoiceField label={field.label} value={String(value)} choices={field.choices} onChange={onChange} />;
    case 'switch':
      return <SwitchField label={field.label} value={Boolean(value)} onChange={onChange} />;
    case 'number':
      return (
        <NumberField
          label={field.label}
          value={Number(value)}
          quantity={QUANTITY[field.unit]}
          step={field.step}
          onChange={(next) => onChange(field.unit === 'count' ? Math.round(next) : next)}
        />
      );
  }
}
