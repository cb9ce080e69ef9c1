import { useHotkeys } from 'react-hotkeys-hook';
import { deletePoint } from '../project/commands/paths';
import { useApp } from './state/app-context';

/** Keys that work wherever the focus is, except in fields. */
export function useAppKeys(): void {
  const { document, session } = useApp();
  const past = () => document.temporal.getState();
  const set = session.getState().set;
  useHotkeys('mod+z', () => past().undo(), { preventDefault: true });
  useHotkeys('mod+shift+z, mod+y', () => past().redo(), { preventDefault: true });
  useHotkeys('home', () => session.getState().frame('all'));
  useHotkeys('end', () => session.getState().frame('run'));
  useHotkeys('enter, escape', () => set({ tool: 'shape' }), { enabled: () => session.getState().tool === 'pen' });
  useHotkeys('delete, backspace', () => {
    const { point, run: runId } = session.getState();
    const { project, edit } = document.getState();
    const run = project.runs.find(({ id }) => id === runId);
    if (point === undefined || !run) return;
    edit((p) => deletePoint(p, run.path, point));
    set({ point: undefined });
  });
  useHotkeys(
    'space',
    () => {
      const { isPlaying, time } = session.getState();
      set(isPlaying ? { isPlaying: false } : { isPlaying: true, time: time ?? 0 });
    },
    {
      preventDefault: true,
      ignoreEventWhen: (event) =>
        (event.target as HTMLElement).closest('button, [role="button"], [role="slider"]') !== null,
    },
  );
}
