import { useRef, useState, type MouseEvent, type PointerEvent } from 'react';
import { deletePoints, insertPoint } from '../../project/commands/paths';
import type { Path } from '../../project/schema';
import { guideMenu } from '../guides/guide-menu';
import { useGuideActions } from '../guides/use-guide-actions';
import { useApp } from '../state/app-context';
import type { MenuPlace, RowMenuItem } from '../ticket/RowMenu';
import { useRunActions } from '../ticket/use-run-actions';
import { useRunMenu } from '../ticket/use-run-menu';
import { courseView } from '../state/results-store';
import { pieceMenu } from '../straightview/piece-menu';
import { nearestStation } from './nearest-station';
import type { Viewport } from './viewport';

/** Pixels within which a right press is a click; farther it moves the view. */
const STILL = 4;
/** Pixels beside a path within which its pieces lie that are meant. */
const BESIDE = 120;
/** Pixels within which a path is meant. */
const NEAR = 12;

/** What a right click in the bent view offers: for the point, the path, the run or the guide under it. */
export function useViewMenu(viewport: Viewport, path: Path | undefined) {
  const { document, session, results } = useApp();
  const runMenu = useRunMenu(useRunActions());
  const guideActions = useGuideActions();
  const pressed = useRef<MenuPlace>(undefined);
  const [menu, setMenu] = useState<{ readonly place: MenuPlace; readonly items: readonly RowMenuItem[] }>();
  const { edit } = document.getState();
  const set = session.getState().set;

  const forPoint = (i: number): readonly RowMenuItem[] => {
    const { point, more } = session.getState();
    const chosen = point !== undefined && [point, ...more].includes(i) ? [point, ...more] : [i];
    return [
      { label: `Choose point ${i + 1}`, act: () => set({ point: i, guide: undefined, step: 'path' }) },
      { label: chosen.length > 1 ? `Delete ${chosen.length} points` : 'Delete this point', hotkey: 'Delete', act: () => { edit((p) => deletePoints(p, path!.id, chosen)); set({ point: undefined }); } }, // prettier-ignore
    ];
  };
  const forRun = (id: string): readonly RowMenuItem[] => {
    const run = document.getState().project.runs.find((own) => own.id === id);
    if (!run) return [];
    return [
      { label: `Choose ${run.name.slice(0, 40)}`, act: () => set({ run: id, point: undefined, guide: undefined }) },
      { label: 'Frame it', act: () => { set({ run: id }); session.getState().frame('run'); } }, // prettier-ignore
      ...runMenu(run),
    ];
  };
  const forPiece = (id: string, x: number, y: number): readonly RowMenuItem[] => {
    const result = results.getState().results.get(id);
    const station = result && nearestStation(viewport, result.path, x, y, BESIDE);
    if (!result || station === undefined) return [];
    const shown = session.getState().run === id ? session.getState().course : undefined;
    const { layout, id: course } = courseView(result, shown);
    const found = layout.placements.find((own) => own.station <= station && station < own.station + own.length);
    if (!found) return [];
    const choose = () =>
      set({ run: id, course, piece: found.piece, step: 'laying', point: undefined, guide: undefined });
    const run = document.getState().project.runs.find((own) => own.id === id);
    const own = run?.courses.find((each) => each.id === course);
    return [
      { label: `Choose piece ${found.piece + 1}`, act: choose },
      ...(run && own ? pieceMenu(edit, run, own, found.piece) : []),
      'line',
    ];
  };
  const forGuide = (id: string): readonly RowMenuItem[] => {
    const guide = document.getState().project.guides.find((own) => own.id === id);
    if (!guide) return [];
    return [
      { label: `Choose ${guide.name.slice(0, 40)}`, act: () => set({ guide: id, point: undefined }) },
      { label: 'Frame it', act: () => { set({ guide: id }); session.getState().frame('chosen'); } }, // prettier-ignore
      ...guideMenu(guide, guideActions),
    ];
  };
  const everywhere: readonly RowMenuItem[] = [
    { label: 'Frame everything', hotkey: 'W', act: () => session.getState().frame('all') },
    { label: 'Commands', hotkey: 'C', act: () => set({ dialog: 'commands' }) },
  ];
  const offered = (event: MouseEvent<HTMLElement>): readonly RowMenuItem[] => {
    const bounds = event.currentTarget.getBoundingClientRect();
    const [x, y] = [event.clientX - bounds.left, event.clientY - bounds.top];
    const point = path?.curve.points.findIndex(({ position }) => {
      const at = viewport.toScreen(position);
      return at.isAhead && Math.hypot(at.x - x, at.y - y) < NEAR;
    });
    if (point !== undefined && point >= 0) return [...forPoint(point), 'line', ...everywhere];
    const own = session.getState().run ?? document.getState().project.runs[0]?.id;
    const result = results.getState().results.get(own ?? '');
    const station = path && result ? nearestStation(viewport, result.path, x, y, NEAR) : undefined;
    const insert: readonly RowMenuItem[] =
      station === undefined
        ? []
        : [
            {
              label: 'New point here',
              act: () => {
                const made = insertPoint(document.getState().project, path!.id, station);
                edit(() => made.project);
                set({ point: made.point, guide: undefined });
              },
            },
            { label: 'Ring here', act: () => set({ tool: 'ring', ring: station, laneKeys: [] }) },
            'line',
          ];
    const run = viewport.runAt(x, y);
    if (run) return [...insert, ...forPiece(run, x, y), ...forRun(run), 'line', ...everywhere];
    const guide = viewport.guideAt(x, y)?.id;
    return [...insert, ...(guide ? [...forGuide(guide), 'line' as const] : []), ...everywhere];
  };
  return {
    menu,
    close: () => setMenu(undefined),
    onPointerDownCapture: (event: PointerEvent<HTMLElement>) => {
      pressed.current = event.button === 2 ? { x: event.clientX, y: event.clientY } : undefined;
    },
    onContextMenu: (event: MouseEvent<HTMLElement>) => {
      event.preventDefault();
      const from = pressed.current ?? { x: event.clientX, y: event.clientY };
      if (Math.hypot(event.clientX - from.x, event.clientY - from.y) > STILL) return;
      setMenu({ place: { x: event.clientX, y: event.clientY }, items: offered(event) });
    },
  };
}
