import { useCallback, useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { CurveSpec } from '../../core/curve/registry';
import type { Vec3 } from '../../core/math/vec3';
import type { Box } from '../../core/mesh/box';
import { deletePoints, extend } from '../../project/commands/paths';
import type { Path } from '../../project/schema';
import { useApp, useRun, useRunResult, useSession } from '../state/app-context';
import { penClick } from './pen-click';
import { firstFootprint, previewPen } from './pen-preview';
import { usePenEnd } from './use-pen-end';
import type { Viewport } from './viewport';

interface Pixel {
  readonly x: number;
  readonly y: number;
}

/** Where the pen is: under the pointer, or at the mark that the arrow keys move. */
interface PenAt extends Pixel {
  readonly isMark: boolean;
}

/** Pixels that an arrow key moves the mark, alone and with Shift; the mark keeps so far from the view's edges. */
const STEP = 24;
const FINE_STEP = 3;
const EDGE = 12;
/** Pixels within which a click means a point that is there. */
const ON_POINT = 8;

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  arrowleft: [-1, 0],
  arrowright: [1, 0],
  arrowup: [0, -1],
  arrowdown: [0, 1],
};

/** Keys are a menu's, a dialog's or a control's where one has the focus. */
const isTaken = ({ target }: Event): boolean =>
  (target as HTMLElement).closest('button, [role="dialog"], [role="menu"], [role="slider"], [role="listbox"]') !== null;

/** The pen: a click puts the next point, one on the first closes the path, one on the last ends; the keys do the same. */
export function usePen(
  viewport: Viewport,
  path: Path | undefined,
  box: Box | undefined,
  placeAt: (at: Pixel, isClick?: boolean) => Vec3 | undefined,
) {
  const { document, session } = useApp();
  const isOn = useSession((s) => s.tool === 'pen');
  const selected = useSession((s) => s.point);
  const run = useRun();
  const known = useRunResult(run?.id)?.path.length ?? 0;
  const [at, setAt] = useState<PenAt>();
  const [place, setPlace] = useState<Vec3>();
  const curve = path?.curve as CurveSpec | undefined;
  const points = curve?.points ?? [];
  const end = selected === 0 && points.length > 1 ? ('start' as const) : ('end' as const);
  const from = points[end === 'start' ? 0 : points.length - 1]?.position;
  const gauge = run?.shape.gauge ?? 1;
  const up = run?.shape.frames.up;

  const wide = useMemo(() => box && thicker(box, gauge), [box, gauge]);
  const preview = useMemo(() => {
    if (!isOn || !curve || !wide || !place || !up || curve.points.length === 0) return undefined;
    return previewPen(curve, end, place, { box: wide, up, known });
  }, [isOn, curve, wide, place, end, up, known]);
  const footprint = useMemo(
    () => preview?.footprint ?? (wide && place ? firstFootprint(place, wide) : []),
    [preview, wide, place],
  );

  const move = useCallback(
    (next: PenAt | undefined) => {
      setAt(next);
      setPlace(next && placeAt(next));
    },
    [placeAt],
  );
  const putAway = usePenEnd(path);
  const put = (to: Vec3) => {
    if (!path) return;
    document.getState().edit((project) => extend(project, path.id, end, to));
    session.getState().set({ point: end === 'start' ? 0 : points.length });
  };
  const isAt = (i: number, { x, y }: Pixel): boolean => {
    const p = points[i] && viewport.toScreen(points[i].position);
    return p !== undefined && p.isAhead && Math.hypot(p.x - x, p.y - y) < ON_POINT;
  };
  const click = (pixel: Pixel) => {
    const met = [0, points.length - 1].find((i) => isAt(i, pixel));
    const meant = curve && met !== undefined ? penClick(curve, selected, met) : undefined;
    if (meant) return putAway(meant);
    const to = placeAt(pixel, true);
    if (to) put(to);
  };
  const back = () => {
    if (!path || points.length === 0) return;
    const gone = end === 'start' ? 0 : points.length - 1;
    document.getState().edit((project) => deletePoints(project, path.id, [gone]));
    const left = points.length - 1;
    session.getState().set({ point: left === 0 ? undefined : end === 'start' ? 0 : left - 1 });
  };

  const keys = { enabled: isOn, ignoreEventWhen: isTaken, preventDefault: true } as const;
  const arrows = Object.keys(ARROWS).flatMap((key) => [key, `shift+${key}`]);
  useHotkeys(
    arrows,
    (event) => {
      const [dx, dy] = ARROWS[event.key.toLowerCase()];
      const { width, height } = viewport.size;
      const last = from && viewport.toScreen(from);
      const begin = at ?? (last?.isAhead ? last : { x: width / 2, y: height / 2 });
      const step = event.shiftKey ? FINE_STEP : STEP;
      move({
        x: Math.min(Math.max(begin.x + dx * step, EDGE), width - EDGE),
        y: Math.min(Math.max(begin.y + dy * step, EDGE), height - EDGE),
        isMark: true,
      });
    },
    keys,
  );
  useHotkeys('enter', () => (at?.isMark ? click(at) : putAway('end')), keys);
  useHotkeys('backspace, delete', back, keys);

  return { at: isOn ? at : undefined, place: isOn ? place : undefined, preview, footprint, move, click };
}

/** A box across the path as many times as large. */
const thicker = ({ min, max }: Box, gauge: number): Box => ({
  min: [min[0], min[1] * gauge, min[2] * gauge],
  max: [max[0], max[1] * gauge, max[2] * gauge],
});

export type Pen = ReturnType<typeof usePen>;
