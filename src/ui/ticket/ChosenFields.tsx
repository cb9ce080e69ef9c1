'use client';

import { Box, Button, Typography } from '@mui/material';
import { useState } from 'react';
import type { CurveSpec } from '../../core/curve/registry';
import { AXES, type Vec3 } from '../../core/math/vec3';
import { changeCurve, deletePoints, transform } from '../../project/commands/paths';
import { subdivideBetween } from '../../core/edit/subdivide-between';
import type { Path } from '../../project/schema';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';
import { useChosen, useEdit, useSession, useSet } from '../state/app-context';
import { usePivot } from '../state/use-pivot';

const COORDINATES = ['x', 'y (up)', 'z'] as const;
/** Several chosen points: moved, turned and scaled by numbers. */
export function ChosenFields({ path }: { path: Path }) {
  const edit = useEdit();
  const set = useSet();
  const chosen = useChosen();
  const ruler = useSession((s) => s.ruler);
  const [axis, setAxis] = useState<'0' | '1' | '2'>('1');
  const [angle, setAngle] = useState(Math.PI / 12);
  const [factor, setFactor] = useState(1.1);
  const [along, setAlong] = useState<'all' | '0' | '1' | '2' | 'plan'>('all');
  const curve = path.curve as CurveSpec;
  const { pivot, place, middle } = usePivot(curve);
  const factors = [0, 1, 2].map((c) =>
    along === 'all' || (along === 'plan' && c !== 1) || along === String(c) ? factor : 1,
  ) as unknown as Vec3;
  return (
    <Box sx={{ display: 'grid' }}>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center' }}>
        <Typography sx={{ fontWeight: 650 }}>{chosen.length} points</Typography>
        <Button
          variant="text"
          color="secondary"
          onClick={() => {
            edit((project) => deletePoints(project, path.id, chosen));
            set({ point: undefined });
          }}
        >
          Delete
        </Button>
      </Box>
      {COORDINATES.map((label, c) => (
        <NumberField
          key={label}
          label={`Middle ${label}`}
          quantity="length"
          step={0.1}
          min={-1e6}
          max={1e6}
          value={middle[c]}
          onChange={(value) => {
            const by = [0, 1, 2].map((k) => (k === c ? value - middle[c] : 0)) as unknown as Vec3;
            edit((project) => transform(project, path.id, chosen, { kind: 'move', by }));
          }}
        />
      ))}
      <ChoiceField
        label="Turn and scale about"
        value={pivot}
        choices={[
          { value: 'middle', label: 'their middle' },
          { value: 'first', label: `point ${(chosen[0] ?? 0) + 1}` },
          { value: 'origin', label: 'the origin' },
          { value: 'own', label: 'a place of its own' },
          ...(ruler[0] ? [{ value: 'ruler' as const, label: 'the ruler’s start' }] : []),
        ]}
        onChange={(value) => set({ pivot: value, ...(value === 'own' && { pivotPlace: place }) })}
      />
      {pivot === 'own' && (
        <Typography variant="body2" color="text.secondary">
          Drag the pivot in the view; it snaps to points and guides.
        </Typography>
      )}
      <ChoiceField
        label="Axis of the turn"
        value={axis}
        choices={[
          { value: '1', label: 'y (plumb)' },
          { value: '0', label: 'x' },
          { value: '2', label: 'z' },
        ]}
        onChange={setAxis}
      />
      <Row>
        <NumberField
          label="Turn by"
          quantity="angle"
          step={Math.PI / 36}
          value={angle}
          initial={0}
          onChange={setAngle}
        />
        <Button
          variant="outlined"
          color="secondary"
          onClick={() =>
            edit((project) =>
              transform(project, path.id, chosen, {
                kind: 'turn',
                about: place,
                axis: AXES[Number(axis)],
                angle,
              }),
            )
          }
        >
          Turn
        </Button>
      </Row>
      <ChoiceField
        label="Scale along"
        value={along}
        choices={[
          { value: 'all', label: 'all directions' },
          { value: 'plan', label: 'the ground (x and z)' },
          { value: '0', label: 'x' },
          { value: '1', label: 'y (up)' },
          { value: '2', label: 'z' },
        ]}
        onChange={setAlong}
      />
      <Row>
        <NumberField
          label="Scale by"
          quantity="plain"
          step={0.05}
          min={-1000}
          max={1000}
          value={factor}
          initial={1}
          onChange={setFactor}
        />
        <Button
          variant="outlined"
          color="secondary"
          disabled={factor === 0}
          onClick={() =>
            edit((project) => transform(project, path.id, chosen, { kind: 'scale', about: place, by: factors }))
          }
        >
          Scale
        </Button>
      </Row>
      <Button
        variant="outlined"
        color="secondary"
        onClick={() => {
          edit((project) => changeCurve(project, path.id, (spec) => subdivideBetween(spec, chosen)));
          set({ point: undefined });
        }}
        sx={{ mt: 1, justifySelf: 'start' }}
      >
        Put points between them
      </Button>
    </Box>
  );
}

const Row = ({ children }: { children: React.ReactNode }) => (
  <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 68px', gap: 2, alignItems: 'center' }}>{children}</Box>
);
