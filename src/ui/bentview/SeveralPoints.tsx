'use client';

import { middleOf } from '../../core/edit/transform-points';
import type { CurveSpec } from '../../core/curve/registry';
import { sub, type Vec3 } from '../../core/math/vec3';
import { transform } from '../../project/commands/paths';
import type { Path } from '../../project/schema';
import { useApp, useEdit, useGesture, useSession } from '../state/app-context';
import { usePivot } from '../state/use-pivot';
import { PathPointDisc } from './PathPointDisc';
import { TurnAndScale } from './TurnAndScale';
import type { Viewport } from './viewport';

/** What several chosen points are taken hold of by: their middle and the grips. */
export function SeveralPoints(props: { viewport: Viewport; path: Path; chosen: readonly number[] }) {
  const { viewport, path, chosen } = props;
  const { document } = useApp();
  const view = useSession((s) => s.view);
  const edit = useEdit();
  const { begin, end } = useGesture();
  const { middle } = usePivot(path.curve);
  const moveMiddle = (to: Vec3) => {
    const { project } = document.getState();
    const now = project.paths.find(({ id }) => id === path.id)!.curve as CurveSpec;
    edit((p) => transform(p, path.id, chosen, { kind: 'move', by: sub(to, middleOf(now, chosen)) }));
  };
  return (
    <>
      <TurnAndScale viewport={viewport} path={path} chosen={chosen} />
      <PathPointDisc
        viewport={viewport}
        view={view}
        shape="handle"
        label={`Middle of ${chosen.length} points`}
        place={middle}
        isSelected
        on={{ select: () => {}, move: moveMiddle, begin, end }}
      />
    </>
  );
}
