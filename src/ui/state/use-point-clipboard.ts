import { useRef } from 'react';
import { pointsAt, pointsFromText, pointsToText } from '../../core/edit/point-text';
import type { PathPoint } from '../../core/curve/path-spec';
import { pastePoints } from '../../project/commands/paths';
import { plural } from '../format';
import { useApp, useNotify } from './app-context';
import { chosenPoints } from './session-store';

interface Copied {
  readonly text: string;
  readonly points: readonly PathPoint[];
  readonly path: string;
}

/** Copies chosen points as text that tables take, and pastes such lines, or what was copied with all that its points hold. */
export function usePointClipboard() {
  const notify = useNotify();
  const { document, session, tell } = useApp();
  const copied = useRef<Copied>(undefined);
  const selectedPath = () => {
    const { runs, paths } = document.getState().project;
    const run = runs.find(({ id }) => id === session.getState().run) ?? runs[0];
    return paths.find(({ id }) => id === run?.path);
  };
  const copy = () => {
    const path = selectedPath();
    const chosen = chosenPoints(session.getState()).toSorted((a, b) => a - b);
    if (!path || chosen.length === 0) return;
    const points = chosen.map((i) => path.curve.points[i]) as readonly PathPoint[];
    copied.current = { text: pointsToText(points), points, path: path.id };
    navigator.clipboard?.writeText(copied.current.text).catch(() => undefined); // what is kept here is enough
    notify(`${plural(points.length, 'point')} copied.`);
  };
  const paste = async () => {
    const path = selectedPath();
    if (!path) return;
    const text = (await navigator.clipboard?.readText().catch(() => undefined)) ?? copied.current?.text ?? '';
    const own = copied.current?.text === text.trim() ? copied.current : undefined;
    const read = own ? undefined : pointsFromText(text);
    if (read && !read.ok) return void tell.problems(read.problems);
    const points = own?.points ?? (read?.ok ? read.value : []);
    const chosen = chosenPoints(session.getState());
    const after = chosen.length > 0 ? Math.max(...chosen) : path.curve.points.length - 1;
    const last = path.curve.points[after];
    // On its own path a copy would lie on itself: there it goes on from the point after which it is put.
    const isRepeat = own?.path === path.id && last && points.length > 1;
    const placed = isRepeat ? pointsAt(points, last.position).slice(1) : points;
    const { project, edit } = document.getState();
    const pasted = pastePoints(project, path.id, after, placed);
    if (pasted === project) return void tell.problems([{ code: 'points.too-many', path: [], facts: {} }]);
    edit(() => pasted);
    const [first, ...more] = placed.map((_, k) => after + 1 + k);
    session.getState().set({ point: first, more });
  };
  return { copy, paste };
}
