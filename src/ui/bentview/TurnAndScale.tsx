'use client';

import { useRef, useState } from 'react';
import { middleOf, transformPoints, type Transform } from '../../core/curve/edit/transform-points';
import type { CurveSpec } from '../../core/curve/registry';
import { sub, type Vec3 } from '../../core/math/vec3';
import { changeCurve } from '../../project/commands/paths';
import type { Path } from '../../project/schema';
import { useEdit, useGesture, useSession } from '../state/app-context';
import { readQuantity } from '../fields/quantity';
import type { DragAt } from './use-disc-drag';
import { PathPointDisc } from './PathPointDisc';
import type { Viewport } from './viewport';

/** Axis through the middle that the points are turned about, as the view lies. */
const AXES = { free: [0, 1, 0], above: [0, 1, 0], front: [0, 0, 1], side: [1, 0, 0] } as const;

interface Grip {
  readonly spec: CurveSpec;
  readonly middle: Vec3;
  readonly far: number;
}

/**
 * Two grips beside the middle of several points: one turns them, the other scales them, both about the middle. A number typed while one
 * is dragged is the angle, or the factor.
 */
export function TurnAndScale({
  viewport,
  path,
  chosen,
}: {
  viewport: Viewport;
  path: Path;
  chosen: readonly number[];
}) {
  const view = useSession((s) => s.view);
  const edit = useEdit();
  const { begin, end } = useGesture();
  const grip = useRef<Grip>(undefined);
  const [dragged, setDragged] = useState<{ readonly which: 'turn' | 'scale'; readonly place: Vec3 }>();
  const curve = path.curve as CurveSpec;
  const middle = middleOf(curve, chosen);
  const far =
    Math.max(...chosen.map((i) => Math.hypot(...sub(curve.points[i]?.position ?? middle, middle))), 0.05) * 0.6;
  const axis: Vec3 = AXES[view];
  const [right, down]: readonly [Vec3, Vec3] =
    view === 'front' ? [[1, 0, 0], [0, -1, 0]] : view === 'side' ? [[0, 0, -1], [0, -1, 0]] : [[1, 0, 0], [0, 0, 1]]; // prettier-ignore
  const at = (direction: Vec3): Vec3 => middle.map((v, k) => v + direction[k]! * far) as unknown as Vec3;

  const drag = (which: 'turn' | 'scale', to: Vec3, typed = '') => {
    const now = grip.current;
    if (!now) return;
    const d = sub(to, now.middle);
    const along = (direction: Vec3) => d[0] * direction[0] + d[1] * direction[1] + d[2] * direction[2];
    if (typed === '') setDragged({ which, place: to });
    let by: Transform;
    if (which === 'turn') {
      // From right towards the other way than down is how the axis turns.
      const angle = readQuantity(typed, 'angle') ?? Math.atan2(-along(down), along(right));
      by = { kind: 'turn', about: now.middle, axis, angle };
    } else {
      const factor = Math.max(readQuantity(typed, 'plain') ?? along(down) / now.far, 0.01);
      by = { kind: 'scale', about: now.middle, by: [factor, factor, factor] };
    }
    edit((project) => changeCurve(project, path.id, () => transformPoints(now.spec, chosen, by)));
  };
  const handlers = (which: 'turn' | 'scale') => ({
    select: () => {},
    move: (to: Vec3, { typed }: DragAt) => drag(which, to, typed),
    begin: () => {
      grip.current = { spec: curve, middle, far };
      begin();
    },
    end: () => {
      grip.current = undefined;
      setDragged(undefined);
      end();
    },
  });
  const grips = [
    { which: 'turn', label: 'Turn the chosen points', rest: at(right) },
    { which: 'scale', label: 'Scale the chosen points', rest: at(down) },
  ] as const;
  return grips.map(({ which, label, rest }) => (
    <PathPointDisc
      key={which}
      viewport={viewport}
      view={view}
      shape="handle"
      label={label}
      tag={which}
      place={dragged?.which === which ? dragged.place : rest}
      isSelected={false}
      on={handlers(which)}
    />
  ));
}
