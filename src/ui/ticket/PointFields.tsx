'use client';

import { Box, Button, Typography } from '@mui/material';
import { WHEEL_RADIUS, wheelRadius } from '../../core/curve/belt-wheels';
import { controlsAt } from '../../core/curve/kinds/compile-mixed';
import type { PathPoint, PointCorner, PointManner } from '../../core/curve/path-spec';
import { curveKind, type CurveSpec } from '../../core/curve/registry';
import type { PathView } from '../../engine/path-view';
import { deletePoints, movePoint, setPoint } from '../../project/commands/paths';
import type { Address } from '../../project/keys/address';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';
import { PlaceField } from '../fields/PlaceField';
import { SwitchField } from '../fields/SwitchField';
import { metres } from '../format';
import { useEdit, useRun, useSession, useSet } from '../state/app-context';
import { ChosenFields } from './ChosenFields';
import type { StepProps } from './step-props';

const MANNERS: readonly { value: PointManner; label: string }[] = [
  { value: 'smooth', label: 'smooth' },
  { value: 'corner', label: 'a corner' },
  { value: 'handles', label: 'with handles' },
];

/** The selected point in numbers, and what the path's kind asks of it. */
export function PointFields({ path, result }: Pick<StepProps, 'path' | 'result'>) {
  const rounding = useRun()?.shape.cornerRadius ?? 0;
  const edit = useEdit();
  const set = useSet();
  const selected = useSession((s) => s.point);
  const isSeveral = useSession((s) => s.more.length > 0);
  const curve = path.curve as CurveSpec;
  const { uses } = curveKind(curve);
  const point = selected === undefined ? undefined : curve.points[selected];
  if (!point) {
    return (
      <Typography variant="body2" color="text.secondary">
        Choose a point in the view to see its numbers, more with Ctrl; click on the path for a new one.
      </Typography>
    );
  }
  if (isSeveral) return <ChosenFields path={path} />;
  const i = selected!;
  const keys = ['paths', path.id, 'curve', 'points', String(i)];
  const leg = legLength(result?.path, i, curve.points.length);
  const put = (change: Partial<PathPoint>) => edit((project) => setPoint(project, path.id, i, change));
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
            edit((project) => deletePoints(project, path.id, [i]));
            set({ point: undefined });
          }}
        >
          Delete
        </Button>
      </Box>
      <PlaceField
        label={`point ${i + 1}`}
        quantity="length"
        of={[...keys, 'position']}
        value={point.position}
        onChange={(position) => edit((project) => movePoint(project, path.id, i, position))}
      />
      {leg !== undefined && (
        <Typography variant="body2" color="text.secondary">
          {metres(leg)} along the path to the next point.
        </Typography>
      )}
      {uses.manners && (
        <>
          <ChoiceField
            label="The path here is"
            value={point.as ?? 'smooth'}
            choices={MANNERS}
            // Handles begin as what the curve does there already.
            onChange={(as) => put({ as, ...(as === 'handles' && controlsAt(curve, i)) })}
          />
          <SwitchField
            label="Straight to the next"
            value={point.straight === true}
            onChange={(on) => put({ straight: on || undefined })}
          />
        </>
      )}
      {uses.side && (
        <NumberField
          label="Teeth (0 = none)"
          quantity="plain"
          step={1}
          min={0}
          max={1000}
          value={point.teeth ?? 0}
          initial={0}
          onChange={(teeth) => put({ teeth: teeth >= 1 ? Math.max(Math.round(teeth), 3) : undefined })}
        />
      )}
      {point.teeth !== undefined && uses.side && (
        <Typography variant="body2" color="text.secondary">
          Pitch circle {metres(2 * wheelRadius(point, curve))} across.
        </Typography>
      )}
      {uses.radius && !uses.side && <CornerChoice point={point} onChange={put} />}
      {uses.radius && point.teeth === undefined && point.corner === undefined && (
        <NumberField
          of={[...keys, 'radius']}
          label={uses.radiusLabel ?? 'Rounding radius'}
          quantity="length"
          step={0.1}
          min={0}
          max={1e6}
          value={point.radius ?? (uses.side ? WHEEL_RADIUS : rounding)}
          initial={uses.side ? WHEEL_RADIUS : rounding}
          onChange={(radius) => put({ radius })}
        />
      )}
      {uses.side && (
        <SwitchField
          label="Presses from outside"
          value={point.outside === true}
          onChange={(on) => put({ outside: on || undefined })}
        />
      )}
      {uses.handles && (!uses.manners || point.as === 'handles') && (
        <SwitchField
          label="Handles joined"
          value={point.broken !== true}
          onChange={(on) => put({ broken: on ? undefined : true })}
        />
      )}
      <AlongValues point={point} keys={keys} onChange={put} />
      {uses.weight && (
        <NumberField
          label="Weight"
          of={[...keys, 'weight']}
          quantity="plain"
          step={0.25}
          min={1e-3}
          max={1e3}
          value={point.weight ?? 1}
          initial={1}
          onChange={(weight) => put({ weight })}
        />
      )}
    </Box>
  );
}

const CORNERS: readonly { value: PointCorner | 'run'; label: string }[] = [
  { value: 'run', label: 'as the run has it' },
  { value: 'mitred', label: 'sharp, mitred' },
  { value: 'piece', label: 'a corner piece' },
];

/** What the corner here is, whatever the run says of its corners. */
const CornerChoice = (props: { point: PathPoint; onChange: (change: Partial<PathPoint>) => void }) => (
  <ChoiceField
    label="The corner here is"
    value={props.point.corner ?? 'run'}
    choices={CORNERS}
    onChange={(value) => props.onChange(value === 'run' ? { corner: undefined } : { corner: value, radius: undefined })}
  />
);

/** What the run does here, blended along the path to the next point that says something. */
function AlongValues(props: { point: PathPoint; keys: Address; onChange: (change: Partial<PathPoint>) => void }) {
  const { point, keys, onChange } = props;
  return (
    <>
      <SwitchField
        label="Own roll here"
        value={point.roll !== undefined}
        onChange={(on) => onChange({ roll: on ? 0 : undefined })}
      />
      {point.roll !== undefined && (
        <NumberField
          of={[...keys, 'roll']}
          label="Roll here"
          quantity="angle"
          step={Math.PI / 36}
          min={-1e4}
          max={1e4}
          value={point.roll}
          initial={0}
          onChange={(roll) => onChange({ roll })}
        />
      )}
      <SwitchField
        label="Own thickness here"
        value={point.gauge !== undefined}
        onChange={(on) => onChange({ gauge: on ? 1 : undefined })}
      />
      {point.gauge !== undefined && (
        <NumberField
          of={[...keys, 'gauge']}
          label="Thickness here"
          quantity="plain"
          step={0.05}
          min={1e-3}
          max={1e3}
          value={point.gauge}
          initial={1}
          onChange={(gauge) => onChange({ gauge })}
        />
      )}
    </>
  );
}

/** Metres from point i to the next one; undefined after the last of an open path, or while the view is another path's. */
function legLength(view: PathView | undefined, i: number, points: number): number | undefined {
  if (!view || view.pointStations.length !== points) return undefined;
  const end = i + 1 < points ? view.pointStations[i + 1] : view.closed ? view.length : undefined;
  return end === undefined ? undefined : end - view.pointStations[i];
}
