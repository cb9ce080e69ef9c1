'use client';

import { useRef, useState } from 'react';
import { transformPoints, type Transform } from '../../core/edit/transform-points';
import type { CurveSpec } from '../../core/curve/registry';
import { add, distance, dot, scale, sub, X_AXIS, Y_AXIS, Z_AXIS, type Vec3 } from '../../core/math/vec3';
import { changeCurve } from '../../project/commands/paths';
import type { Path } from '../../project/schema';
import { useEdit, useGesture, useSession } from '../state/app-context';
import { readQuantity } from '../fields/quantity';
import { degrees } from '../format';
import { usePivot } from '../state/use-pivot';
import { SCALE_HOLDS, TURN_HOLDS } from './holds';
import type { DragAt } from './use-disc-drag';
import { PathPointDisc } from './PathPointDisc';
import type { Viewport } from './viewport';

/** Axis that the points are turned about where none is asked for, as the view lies. */
const VIEW_AXES = { free: Y_AXIS, above: Y_AXIS, front: Z_AXIS, side: X_AXIS } as const;

interface Grip {
  readonly spec: CurveSpec;
  readonly about: Vec3;
  readonly far: number;
}

type Which = 'turn' | 'scale';

/**
 * Two grips beside what several points are turned and scaled about: one turns them, the other scales them. What holds them is the axis of
 * the turn, or the directions that are scaled; a number typed while one is dragged is the angle, or the factor.
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
  const [dragged, setDragged] = useState<{ readonly which: Which; readonly place: Vec3 }>();
  const curve = path.curve as CurveSpec;
  const { place: about, middle } = usePivot(curve);
  const far = Math.max(...chosen.map((i) => distance(curve.points[i]?.position ?? middle, middle)), 0.05) * 0.6;
  const [right, down]: readonly [Vec3, Vec3] =
    view === 'front' ? [[1, 0, 0], [0, -1, 0]] : view === 'side' ? [[0, 0, -1], [0, -1, 0]] : [[1, 0, 0], [0, 0, 1]]; // prettier-ignore

  /** What a grip that is dragged to a place asks for, and how that is said. */
  const asked = (which: Which, now: Grip, to: Vec3, { hold, typed = '' }: DragAt): [Transform, string] => {
    const d = sub(to, now.about);
    if (which === 'turn') {
      // From right towards the other way than down is how the axis turns.
      const angle = readQuantity(typed, 'angle') ?? Math.atan2(-dot(d, down), dot(d, right));
      const axis = hold?.line ?? VIEW_AXES[view];
      const name = hold ? ` ${hold.name}` : '';
      return [{ kind: 'turn', about: now.about, axis, angle }, `${degrees(angle)}${name}`];
    }
    const factor = Math.max(readQuantity(typed, 'plain') ?? dot(d, down) / now.far, 0.01);
    const isScaled = (c: number) => (hold?.line ? hold.line[c] !== 0 : hold?.plane ? hold.plane[c] === 0 : true);
    const by = [0, 1, 2].map((c) => (isScaled(c) ? factor : 1)) as unknown as Vec3;
    return [{ kind: 'scale', about: now.about, by }, `${factor.toFixed(2)} times${hold ? ` ${hold.name}` : ''}`];
  };
  const handlers = (which: Which) => ({
    select: () => {},
    move: (to: Vec3, at: DragAt) => {
      const now = grip.current;
      if (!now) return;
      if (!at.typed) setDragged({ which, place: to });
      const [by] = asked(which, now, to, at);
      edit((project) => changeCurve(project, path.id, () => transformPoints(now.spec, chosen, by)));
    },
    tell: (to: Vec3, at: DragAt) => (grip.current ? asked(which, grip.current, to, at)[1] : ''),
    begin: () => {
      grip.current = { spec: curve, about, far };
      begin();
    },
    end: () => {
      grip.current = undefined;
      setDragged(undefined);
      end();
    },
  });
  const grips = [
    { which: 'turn', label: 'Turn the chosen points', rest: add(about, scale(right, far)) },
    { which: 'scale', label: 'Scale the chosen points', rest: add(about, scale(down, far)) },
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
      isSelected={dragged?.which === which}
      holds={which === 'turn' ? TURN_HOLDS : SCALE_HOLDS}
      on={handlers(which)}
    />
  ));
}
