'use client';

import { Box, Button, FormControlLabel, Switch, Typography } from '@mui/material';
import { CURVE_KINDS, curveKind, type CurveSpec } from '../../core/curve/registry';
import { deletePoint, movePoint, reverse, setClosed, setCurveKind, setPoint } from '../../project/commands/paths';
import { NumberField } from '../fields/NumberField';
import { OptionCard } from '../fields/OptionCard';
import { metres, radius } from '../format';
import { useEdit, useProject, useSession, useSet } from '../state/app-context';
import type { StepProps } from './step-props';

/** The curve: its kind, the selected point in numbers, and what can be done to the whole. */
export function PathStep({ path, result }: StepProps) {
  const edit = useEdit();
  const set = useSet();
  const sharing = useProject((s) => s.project.runs.filter((r) => r.path === path.id).length);
  const curve = path.curve as CurveSpec;
  const view = result?.view.path;
  return (
    <>
      <Box role="radiogroup" aria-label="Kind of path" sx={{ display: 'grid', gap: 1.5 }}>
        {CURVE_KINDS.map(({ kind, label, hint }) => (
          <OptionCard
            key={kind}
            label={label}
            hint={hint}
            isChosen={curve.kind === kind}
            onChoose={() => edit((project) => setCurveKind(project, path.id, kind))}
          />
        ))}
      </Box>
      <PointFields path={path} />
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
        <FormControlLabel
          label="Closed"
          slotProps={{ typography: { sx: { fontSize: 13 } } }}
          control={
            <Switch
              size="small"
              checked={curve.closed}
              onChange={(_, closed) => edit((project) => setClosed(project, path.id, closed))}
            />
          }
        />
        <Button variant="outlined" color="secondary" onClick={() => edit((project) => reverse(project, path.id))}>
          Reverse
        </Button>
        <Button variant="outlined" color="secondary" onClick={() => set({ tool: 'pen' })}>
          Draw on
        </Button>
      </Box>
      {view && (
        <Typography variant="body2" color="text.secondary">
          {metres(view.length)} long, {metres(view.planLength)} in plan, {curve.points.length} points.
          {Number.isFinite(view.tightest.radius) &&
            ` Tightest ${radius(view.tightest.radius)} at station ${metres(view.tightest.station)}.`}
          {sharing > 1 && ` ${sharing} runs follow this path.`}
        </Typography>
      )}
    </>
  );
}

const AXES = ['x', 'y (up)', 'z'] as const;

function PointFields({ path }: Pick<StepProps, 'path'>) {
  const edit = useEdit();
  const set = useSet();
  const selected = useSession((s) => s.point);
  const curve = path.curve as CurveSpec;
  const point = selected === undefined ? undefined : curve.points[selected];
  if (!point) {
    return (
      <Typography variant="body2" color="text.secondary">
        Choose a point in the view to see its numbers; click on the path for a new one.
      </Typography>
    );
  }
  const i = selected!;
  return (
    <Box sx={{ display: 'grid' }}>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center' }}>
        <Typography sx={{ fontWeight: 650 }}>
          Point {i + 1} of {curve.points.length}
        </Typography>
        <Button
          variant="text"
          color="secondary"
          onClick={() => {
            edit((project) => deletePoint(project, path.id, i));
            set({ point: undefined });
          }}
        >
          Delete
        </Button>
      </Box>
      {AXES.map((axis, c) => (
        <NumberField
          key={axis}
          label={axis}
          quantity="length"
          step={0.1}
          value={point.position[c]!}
          min={-1e6}
          max={1e6}
          onChange={(value) => {
            const position = point.position.map((old, k) => (k === c ? value : old)) as [number, number, number];
            edit((project) => movePoint(project, path.id, i, position));
          }}
        />
      ))}
      {curveKind(curve).uses.radius && (
        <NumberField
          label="Rounding radius"
          quantity="length"
          step={0.1}
          min={0}
          max={1e6}
          value={point.radius ?? 0}
          onChange={(value) => edit((project) => setPoint(project, path.id, i, { radius: value }))}
        />
      )}
    </Box>
  );
}
