'use client';

import { Box } from '@mui/material';
import { fieldValue, type CurveField } from '../../core/curve/curve-kind';
import { curveKind, type CurveSpec } from '../../core/curve/registry';
import type { PathView } from '../../engine/path-view';
import { changeCurve, setNumber } from '../../project/commands/paths';
import type { Path } from '../../project/schema';
import { NumberField } from '../fields/NumberField';
import { useEdit } from '../state/app-context';
import { LengthField } from './LengthField';

const QUANTITY = { m: 'length', ratio: 'plain', share: 'percent', angle: 'angle' } as const satisfies Record<
  CurveField['unit'],
  string
>;
export interface PathNumbersProps {
  readonly path: Path;
  readonly view: PathView | undefined;
  /** Another shape of the path, by its length. */
  readonly onShape: (changed: CurveSpec) => void;
}

/** Length, what the kind asks for, and what follows from its points. */
export function PathNumbers({ path, view, onShape }: PathNumbersProps) {
  const edit = useEdit();
  const curve = path.curve as CurveSpec;
  const { fields = [], figures = [] } = curveKind(curve);
  return (
    <Box>
      {view && <LengthField curve={curve} length={view.length} isClosed={view.closed} onChange={onShape} />}
      {fields
        .filter(({ appliesTo }) => appliesTo?.(curve) ?? true)
        .map((field) => (
          <NumberField
            key={field.key}
            of={['paths', path.id, 'curve', 'numbers', field.key]}
            {...shownAs(field)}
            value={fieldValue(curve, field)}
            initial={field.initial}
            onChange={(value) => edit((project) => setNumber(project, path.id, field.key, value))}
          />
        ))}
      {figures.map((figure) => {
        const value = figure.read(curve);
        if (value === undefined) return null;
        const write = (next: number) =>
          edit((project) => changeCurve(project, path.id, (spec) => ({ ...spec, ...figure.write(spec, next) })));
        return <NumberField key={figure.key} {...shownAs(figure)} value={value} onChange={write} />;
      })}
    </Box>
  );
}

const shownAs = ({ label, unit, step, min, max }: Omit<CurveField, 'initial' | 'key'>) => ({
  ...{ label, step, min, max },
  quantity: QUANTITY[unit],
});
