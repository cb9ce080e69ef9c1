'use client';

import { Box, Button, Typography } from '@mui/material';
import type { MakerFigure } from '../../core/segment/maker';
import { maker, toDrawn, type MakerSpec } from '../../core/segment/registry';
import { makerDefaults } from '../../project/defaults';
import { setMaker } from '../../project/commands/segments';
import type { Segment } from '../../project/schema';
import { FormFields, type FormValues } from '../fields/FormFields';
import { degrees, metres, whole } from '../format';
import { useEdit, useSet } from '../state/app-context';

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
  const values = spec as unknown as FormValues;
  const isFine = own.problem?.(spec) === undefined;
  const drawn = isFine ? toDrawn(spec) : undefined;
  const isDrawn = spec.kind === 'crossSection' || spec.kind === 'turnedProfile';
  return (
    <>
      <Box>
        <FormFields
          fields={own.fields}
          values={values}
          initial={makerDefaults(spec.kind)}
          of={['segments', segment.id, 'source', 'spec']}
          onChange={(key, value) => put({ ...spec, [key]: value })}
        />
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
