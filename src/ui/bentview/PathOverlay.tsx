'use client';

import { useMemo, useRef } from 'react';
import { curveKind, type CurveSpec } from '../../core/curve/registry';
import { add, sub, type Vec3 } from '../../core/math/vec3';
import { deletePoints, moveHandle, movePoint, transform } from '../../project/commands/paths';
import { plugEnd } from '../../project/commands/plugs';
import type { Path } from '../../project/schema';
import { metres } from '../format';
import { useApp, useChosen, useEdit, useGesture, useRun, useRunResult, useSession, useSet } from '../state/app-context';
import { chosenPoints } from '../state/session-store';
import { HandleLines } from './HandleLines';
import { pathHolds, PLACE_HOLDS } from './holds';
import { forwardAt } from './nearest-station';
import { PathPointDisc } from './PathPointDisc';
import { PivotDisc } from './PivotDisc';
import { SeveralPoints } from './SeveralPoints';
import { snap, type Snapped } from './snap';
import { penClick } from './pen-click';
import type { DragAt } from './use-disc-drag';
import { usePenEnd } from './use-pen-end';
import { useShownPoints } from './use-shown-points';
import type { Viewport } from './viewport';

/** The selected run's path points, and the handles of the selected one. */
export function PathOverlay({ viewport, path }: { viewport: Viewport; path: Path }) {
  const run = useRun();
  const view = useSession((s) => s.view);
  const chosen = useChosen();
  const result = useRunResult(run?.id);
  const stations = result?.path.pointStations;
  const { document, session } = useApp();
  const edit = useEdit();
  const set = useSet();
  const { begin, end } = useGesture();
  const caught = useRef<Snapped>(undefined);
  const curve = path.curve as CurveSpec;
  const selected = chosen[0];
  const isShown = new Set(chosen);

  const putAway = usePenEnd(path);
  const isMoreHeld = useRef(false);
  const penMeans = (i: number) => (session.getState().tool === 'pen' ? penClick(curve, selected, i) : undefined);

  const select = (i: number, isMore: boolean) => {
    if (penMeans(i)) return; // a click on it ends drawing or closes the path; a drag moves it
    const now = chosenPoints(session.getState());
    if (!isMore) {
      if (!now.includes(i)) set({ point: i, guide: undefined }); // one of several is kept with them, to be dragged
      return;
    }
    const next = now.includes(i) ? now.filter((k) => k !== i) : [i, ...now];
    set({ point: next[0], more: next.slice(1), guide: undefined });
  };
  const move = (i: number, to: Vec3, at: DragAt) => {
    const { project } = document.getState();
    const now = chosenPoints(session.getState());
    const { snapping } = session.getState();
    const snapped: Snapped = at.isExact
      ? { place: to }
      : snap(to, { viewport, project, snapping, path: path.id, chosen: now, x: at.x, y: at.y });
    caught.current = snapped;
    if (now.length < 2) return edit((p) => movePoint(p, path.id, i, snapped.place));
    const from = project.paths.find(({ id }) => id === path.id)!.curve.points[i].position;
    edit((p) => transform(p, path.id, now, { kind: 'move', by: sub(snapped.place, from) }));
  };
  const finish = (i: number, hasMoved: boolean) => {
    const mouth = caught.current?.mouth;
    caught.current = undefined;
    if (mouth) edit((p) => plugEnd(p, path.id, i === 0 ? 'start' : 'end', mouth) ?? p);
    end();
    const meant = penMeans(i);
    if (!hasMoved && meant) return putAway(meant);
    if (!hasMoved && chosenPoints(session.getState()).length > 1 && !isMoreHeld.current) set({ point: i });
  };
  const remove = (i: number) => {
    const now = chosenPoints(session.getState());
    edit((project) => deletePoints(project, path.id, now.includes(i) ? now : [i]));
    set({ point: undefined });
  };

  const shown = useShownPoints(viewport, curve.points, chosen);
  const holds = useMemo(() => {
    const view = result?.path;
    return new Map(shown.map((i) => [i, pathHolds(forwardAt(view, view?.pointStations[i]))]));
  }, [result, shown]);
  const point = selected === undefined ? undefined : curve.points[selected];
  const { uses } = curveKind(curve);
  const hasHandles = point && chosen.length === 1 && uses.handles && (!uses.manners || point.as === 'handles');
  const shownHandles = hasHandles ? handlePlaces(curve, selected) : [];
  return (
    <>
      {point && <HandleLines viewport={viewport} from={point.position} to={shownHandles.map(({ place }) => place)} />}
      {shownHandles.map(({ which, place }) => (
        <PathPointDisc
          key={which}
          viewport={viewport}
          view={view}
          shape="handle"
          label={`${which === 'handleIn' ? 'Handle before' : 'Handle after'} point ${selected + 1}`}
          place={place}
          isSelected={false}
          on={{
            select: () => {},
            move: (to) => edit((project) => moveHandle(project, path.id, selected, which, sub(to, point!.position))),
            begin,
            end,
          }}
        />
      ))}
      {chosen.length > 1 && <SeveralPoints viewport={viewport} path={path} chosen={chosen} />}
      {shown.map((i) => {
        const { position } = curve.points[i];
        const station = stations?.[i];
        return (
          <PathPointDisc
            key={i}
            viewport={viewport}
            view={view}
            shape="point"
            label={`Point ${i + 1}${station === undefined ? '' : ` at station ${metres(station)}`}`}
            place={position}
            isSelected={isShown.has(i)}
            holds={holds.get(i) ?? PLACE_HOLDS}
            on={{
              select: (isMore) => {
                isMoreHeld.current = isMore;
                select(i, isMore);
              },
              move: (to, at) => move(i, to, at),
              begin: () => {
                set({ station: undefined }); // its mark would lie over what is said of the drag
                begin();
              },
              end: (hasMoved) => finish(i, hasMoved),
              remove: () => remove(i),
            }}
          />
        );
      })}
      {chosen.length > 1 && <PivotDisc viewport={viewport} path={path} />}
    </>
  );
}

/** Where the handles of a point lie; one that is not set points a third of the way to its neighbour. */
function handlePlaces({ points, closed }: CurveSpec, i: number): { which: 'handleIn' | 'handleOut'; place: Vec3 }[] {
  const n = points.length;
  const { position, handleIn, handleOut } = points[i];
  const third = (other: number): Vec3 => {
    const d = sub(points[other].position, position);
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
