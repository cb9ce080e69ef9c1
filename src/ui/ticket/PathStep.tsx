'use client';

import { Box, Button, Typography } from '@mui/material';
import { changeKind } from '../../core/edit/change-kind';
import { deviation } from '../../core/edit/deviation';
import type { Slope } from '../../core/shape/slope';
import { distance } from '../../core/math/vec3';
import { curveKind, type CurveSpec } from '../../core/curve/registry';
import { changeCurve, replaceCurve, setClosed } from '../../project/commands/paths';
import { SwitchField } from '../fields/SwitchField';
import { metres, percentText, plural, radius } from '../format';
import { useEdit, useNotify, useProject, useSession, useSet } from '../state/app-context';
import { EndsMenu, HAS_HANDLES } from './EndsMenu';
import { KindChoice } from './KindChoice';
import { PathChoice } from './PathChoice';
import { PathNumbers } from './PathNumbers';
import { MoreMenu } from './MoreMenu';
import { PointFields } from './PointFields';
import { TidyMenu } from './TidyMenu';
import type { StepProps } from './step-props';

/** Less than this share of its length is no change of a path that anybody would want to be told of. */
const TOLD_SHARE = 1e-4;

/** The curve: its kind, the selected point in numbers, and what can be done to the whole. */
export function PathStep({ run, path, result }: StepProps) {
  const notify = useNotify();
  const edit = useEdit();
  const set = useSet();
  const sharing = useProject((s) => s.project.runs.filter((r) => r.path === path.id).length);
  const curve = path.curve as CurveSpec;
  const { alwaysClosed, group, hint } = curveKind(curve);
  const point = useSession((s) => s.point);
  const view = result?.path;
  const replace = (changed: CurveSpec) => {
    const off = deviation(curve, changed);
    edit((project) => replaceCurve(project, path.id, changed));
    if (changed.points.length !== curve.points.length) set({ point: samePoint(curve, changed, point) });
    if (off !== undefined && off > (view?.length ?? 0) * TOLD_SHARE)
      notify(`The path now runs up to ${metres(off)} from where it was.`);
  };
  const replaceQuietly = (changed: CurveSpec) => {
    edit((project) => changeCurve(project, path.id, () => changed));
    if (changed.points.length !== curve.points.length) set({ point: undefined });
    if (changed.kind !== curve.kind) notify(HAS_HANDLES);
  };
  return (
    <>
      <PathChoice run={run} />
      <KindChoice kind={curve.kind} onChange={(kind) => replace(changeKind(curve, kind))} />
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
            onChoose={(tidy, within) => replace(tidy.apply(curve, tidy.tolerance === undefined ? undefined : within))}
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

/** The point of a changed path that lies nearest to the chosen one of before. */
function samePoint(before: CurveSpec, after: CurveSpec, i: number | undefined): number | undefined {
  const place = i === undefined ? undefined : before.points[i]?.position;
  if (!place) return undefined;
  const away = after.points.map(({ position }) => distance(position, place));
  return away.indexOf(Math.min(...away));
}

function slopeText({ rise, steepest, station }: Slope): string {
  if (steepest < 1e-6) return 'Level.';
  const way =
    Math.abs(rise) < 1e-4 ? 'Ends as high as it starts' : `${rise > 0 ? 'Rises' : 'Falls'} ${metres(Math.abs(rise))}`;
  const most = steepest > 20 ? 'upright' : `steepest ${percentText(steepest * 100)}`;
  return `${way}, ${most} at station ${metres(station)}.`;
}
