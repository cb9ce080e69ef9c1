'use client';

import { Box, Button, Typography } from '@mui/material';
import { changeKind } from '../../core/edit/change-kind';
import type { Slope } from '../../core/shape/slope';
import { curveKind, type CurveSpec } from '../../core/curve/registry';
import { changeCurve, setClosed } from '../../project/commands/paths';
import { SwitchField } from '../fields/SwitchField';
import { metres, percentText, plural, radius } from '../format';
import { useEdit, useNotify, useProject, useSet } from '../state/app-context';
import { EndsMenu } from './EndsMenu';
import { KindChoice } from './KindChoice';
import { PathChoice } from './PathChoice';
import { PathNumbers } from './PathNumbers';
import { MoreMenu } from './MoreMenu';
import { PointFields } from './PointFields';
import { TidyMenu } from './TidyMenu';
import type { StepProps } from './step-props';
import { HAS_HANDLES } from './use-end-actions';
import { useReplaceCurve } from './use-replace-curve';

/** The curve: its kind, the selected point in numbers, and what can be done to the whole. */
export function PathStep({ run, path, result }: StepProps) {
  const notify = useNotify();
  const edit = useEdit();
  const set = useSet();
  const sharing = useProject((s) => s.project.runs.filter((r) => r.path === path.id).length);
  const curve = path.curve as CurveSpec;
  const { alwaysClosed, group, hint } = curveKind(curve);
  const view = result?.path;
  const replace = useReplaceCurve();
  const replaceQuietly = (changed: CurveSpec) => {
    edit((project) => changeCurve(project, path.id, () => changed));
    if (changed.points.length !== curve.points.length) set({ point: undefined });
    if (changed.kind !== curve.kind) notify(HAS_HANDLES);
  };
  return (
    <>
      <PathChoice run={run} />
      <KindChoice kind={curve.kind} onChange={(kind) => replace(path, changeKind(curve, kind))} />
      <Typography variant="body2" color="text.secondary">
        {hint}.
      </Typography>
      <PathNumbers path={path} view={view} onShape={replaceQuietly} />
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
          Continue drawing
        </Button>
        {!alwaysClosed && view?.closed === false && <EndsMenu path={path} length={view?.length ?? 1} />}
        <MoreMenu path={path} />
        {group === 'points' && (
          <TidyMenu
            length={view?.length ?? 1}
            onChoose={(tidy, within) =>
              replace(path, tidy.apply(curve, tidy.tolerance === undefined ? undefined : within))
            }
          />
        )}
      </Box>
      {view && (
        <Typography variant="body2" color="text.secondary">
          {metres(view.length)} long, {metres(view.planLength)} in plan, {plural(curve.points.length, 'point')}.{' '}
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
