'use client';

import { curveKind, type CurveSpec } from '../../core/curve/registry';
import { add, sub, type Vec3 } from '../../core/math/vec3';
import { deletePoint, moveHandle, movePoint } from '../../project/commands/paths';
import type { Path } from '../../project/schema';
import { metres } from '../format';
import { useEdit, useGesture, useRunResult, useSession, useSet, useRun } from '../state/app-context';
import { HandleLines } from './HandleLines';
import { PathPointDisc } from './PathPointDisc';
import type { Viewport } from './viewport';

/** Most points that are shown as discs; on longer paths the ones nearest to the selected point. */
const MOST_DISCS = 300;

/** The selected run's path points, and the handles of the selected one. */
export function PathOverlay({ viewport, path }: { viewport: Viewport; path: Path }) {
  const run = useRun();
  const view = useSession((s) => s.view);
  const selected = useSession((s) => s.point);
  const stations = useRunResult(run?.id)?.view.path.pointStations;
  const edit = useEdit();
  const set = useSet();
  const { begin, end } = useGesture();
  const curve = path.curve as CurveSpec;
  const remove = (i: number) => {
    edit((project) => deletePoint(project, path.id, i));
    set({ point: undefined });
  };
  const first = Math.max(0, Math.min((selected ?? 0) - MOST_DISCS / 2, curve.points.length - MOST_DISCS));
  const point = selected === undefined ? undefined : curve.points[selected];
  const { uses } = curveKind(curve);
  const hasHandles = point && uses.handles && (!uses.manners || point.as === 'handles');
  const shownHandles = hasHandles ? handlePlaces(curve, selected!) : [];
  return (
    <>
      {point && <HandleLines viewport={viewport} from={point.position} to={shownHandles.map(({ place }) => place)} />}
      {shownHandles.map(({ which, place }) => (
        <PathPointDisc
          key={which}
          viewport={viewport}
          view={view}
          shape="handle"
          label={`${which === 'handleIn' ? 'Handle before' : 'Handle after'} point ${selected! + 1}`}
          place={place}
          isSelected={false}
          on={{
            select: () => {},
            move: (to) => edit((project) => moveHandle(project, path.id, selected!, which, sub(to, point!.position))),
            begin,
            end,
          }}
        />
      ))}
      {curve.points.slice(first, first + MOST_DISCS).map(({ position }, k) => {
        const i = first + k;
        const station = stations?.[i];
        return (
          <PathPointDisc
            key={i}
            viewport={viewport}
            view={view}
            shape="point"
            label={`Point ${i + 1}${station === undefined ? '' : ` at station ${metres(station)}`}`}
            place={position}
            isSelected={i === selected}
            on={{
              select: () => set({ point: i }),
              move: (to) => edit((project) => movePoint(project, path.id, i, to)),
              begin,
              end,
              remove: () => remove(i),
            }}
          />
        );
      })}
    </>
  );
}

/** Where the handles of a point lie; one that is not set points a third of the way to its neighbour. */
function handlePlaces({ points, closed }: CurveSpec, i: number): { which: 'handleIn' | 'handleOut'; place: Vec3 }[] {
  const n = points.length;
  const { position, handleIn, handleOut } = points[i]!;
  const third = (other: number): Vec3 => {
    const d = sub(points[other]!.position, position);
    return [d[0] / 3, d[1] / 3, d[2] / 3];
  };
  return [
    ...(closed || i > 0
      ? [{ which: 'handleIn' as const, place: add(position, handleIn ?? third((i + n - 1) % n)) }]
      : []),
    ...(closed || i < n - 1
      ? [{ which: 'handleOut' as const, place: add(position, handleOut ?? third((i + 1) % n)) }]
      : []),
  ];
}
