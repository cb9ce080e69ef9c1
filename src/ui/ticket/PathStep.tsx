'use client';

import { Box, Button, Typography } from '@mui/material';
import { enqueueSnackbar } from 'notistack';
import { fieldValue, type CurveField } from '../../core/curve/curve-kind';
import { changeKind } from '../../core/curve/edit/change-kind';
import { deviation } from '../../core/curve/edit/deviation';
import type { Slope } from '../../core/frames/slope';
import { CURVE_KINDS, curveKind, type CurveSpec } from '../../core/curve/registry';
import { changeCurve, setClosed, setNumber } from '../../project/commands/paths';
import { NumberField } from '../fields/NumberField';
import { OptionCard } from '../fields/OptionCard';
import { SwitchField } from '../fields/SwitchField';
import { metres, percentText, radius } from '../format';
import { useEdit, useProject, useSet } from '../state/app-context';
import { EndsMenu } from './EndsMenu';
import { MoreMenu } from './MoreMenu';
import { PointFields } from './PointFields';
import { TidyMenu } from './TidyMenu';
import type { StepProps } from './step-props';

const QUANTITY = { m: 'length', ratio: 'plain', share: 'percent', angle: 'angle' } as const satisfies Record<
  CurveField['unit'],
  string
>;
/** Less than this share of its length is no change of a path that anybody would want to be told of. */
const TOLD_SHARE = 1e-4;

/** The curve: its kind, the selected point in numbers, and what can be done to the whole. */
export function PathStep({ path, result }: StepProps) {
  const edit = useEdit();
  const set = useSet();
  const sharing = useProject((s) => s.project.runs.filter((r) => r.path === path.id).length);
  const curve = path.curve as CurveSpec;
  const { fields = [], alwaysClosed, group, hint } = curveKind(curve);
  const view = result?.view.path;
  const replace = (changed: CurveSpec) => {
    const off = deviation(curve, changed);
    edit((project) => changeCurve(project, path.id, () => changed));
    if (changed.points.length !== curve.points.length) set({ point: undefined });
    if (off !== undefined && off > (view?.length ?? 0) * TOLD_SHARE)
      enqueueSnackbar(`The path now runs up to ${metres(off)} from where it was.`, { variant: 'info' });
  };
  return (
    <>
      <Box
        role="radiogroup"
        aria-label="Kind of path"
        sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}
      >
        {CURVE_KINDS.map(({ kind, label, hint: purpose }) => (
          <OptionCard
            key={kind}
            label={label}
            hint={purpose}
            isChosen={curve.kind === kind}
            onChoose={() => replace(changeKind(curve, kind))}
          />
        ))}
      </Box>
      <Typography variant="body2" color="text.secondary">
        {hint}.
      </Typography>
      {fields.length > 0 && (
        <Box>
          {fields.map((field) => (
            <NumberField
              key={field.key}
              label={field.label}
              quantity={QUANTITY[field.unit]}
              step={field.step}
              min={field.min}
              max={field.max}
              value={fieldValue(curve, field)}
              onChange={(value) => edit((project) => setNumber(project, path.id, field.key, value))}
            />
          ))}
        </Box>
      )}
      <PointFields path={path} result={result} />
      {!alwaysClosed && (
        <SwitchField
          label="Closed"
          value={curve.closed}
          onChange={(closed) => edit((project) => setClosed(project, path.id, closed))}
        />
      )}
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
        <Button variant="outlined" color="secondary" onClick={() => set({ tool: 'pen' })}>
          Draw on
        </Button>
        {group === 'points' && !curve.closed && <EndsMenu path={path} length={view?.length ?? 1} />}
        <MoreMenu path={path} />
        {group === 'points' && (
          <TidyMenu
            length={view?.length ?? 1}
            onChoose={(tidy, within) => replace(tidy.apply(curve, tidy.tolerance === undefined ? undefined : within))}
          />
        )}
      </Box>
      {view && (
        <Typography variant="body2" color="text.secondary">
          {metres(view.length)} long, {metres(view.planLength)} in plan, {curve.points.length} points.{' '}
          {slopeText(view.slope)}
          {Number.isFinite(view.tightest.radius) &&
            ` Tightest ${radius(view.tightest.radius)} at station ${metres(view.tightest.station)}.`}
          {sharing > 1 && ` ${sharing} runs follow this path.`}
        </Typography>
      )}
    </>
  );
}

function slopeText({ rise, steepest, station }: Slope): string {
  if (steepest < 1e-6) return 'Level.';
  const way =
    Math.abs(rise) < 1e-4 ? 'Ends as high as it starts' : `${rise > 0 ? 'Rises' : 'Falls'} ${metres(Math.abs(rise))}`;
  const most = steepest > 20 ? 'upright' : `steepest ${percentText(steepest * 100)}`;
  return `${way}, ${most} at station ${metres(station)}.`;
}
