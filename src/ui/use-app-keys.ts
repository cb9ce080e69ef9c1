import { useHotkeys } from 'react-hotkeys-hook';
import { deletePoints } from '../project/commands/paths';
import { deleteGuide } from '../project/commands/guides';
import { useApp } from './state/app-context';
import { playOrStop } from './state/play';
import { chosenPoints, type ToolName } from './state/session-store';
import { usePointClipboard } from './state/use-point-clipboard';

/** Where text is typed the keys are the field's. Switches are no such field, though they are inputs. */
const isTyping = ({ target }: Event): boolean =>
  (target as HTMLElement).closest('input:not([type="checkbox"]), textarea, select, [contenteditable="true"]') !== null;

const isInDialog = ({ target }: Event): boolean =>
  (target as HTMLElement).closest('[role="presentation"], [role="dialog"]') !== null;

const EVERYWHERE = { enableOnFormTags: true, ignoreEventWhen: isTyping } as const;
const OWN = { ...EVERYWHERE, preventDefault: true } as const;
const OUTSIDE_DIALOGS = { ...OWN, ignoreEventWhen: (event: Event) => isTyping(event) || isInDialog(event) } as const;

/** Keys that work wherever the focus is, except in fields. They are listed in `keys/key-list.ts`. */
export function useAppKeys(): void {
  const { document, session } = useApp();
  const past = () => document.temporal.getState();
  const set = session.getState().set;
  const { copy, paste } = usePointClipboard();
  const selectedRun = () => {
    const { runs } = document.getState().project;
    return runs.find(({ id }) => id === session.getState().run) ?? runs[0];
  };
  const isIn = (...tools: readonly ToolName[]) => tools.includes(session.getState().tool);
  useHotkeys('mod+z', () => past().undo(), OWN);
  useHotkeys('mod+shift+z, mod+y', () => past().redo(), OWN);
  useHotkeys('w', () => session.getState().frame('all'), OUTSIDE_DIALOGS);
  useHotkeys('t', () => session.getState().frame('chosen'), OUTSIDE_DIALOGS);
  useHotkeys('r', () => set({ isResultOnly: !session.getState().isResultOnly }), EVERYWHERE);
  useHotkeys('c', () => set({ dialog: 'commands' }), OUTSIDE_DIALOGS);
  useHotkeys('?', () => set({ dialog: 'keys' }), { ...EVERYWHERE, useKey: true });
  useHotkeys('escape', () => set({ tool: 'shape' }), {
    enabled: () => !isIn('shape'),
    ignoreEventWhen: (event) => isTyping(event) || isInDialog(event),
  });
  useHotkeys('enter', () => set({ tool: 'shape' }), { enabled: () => !isIn('shape', 'pen') }); // the pen sets a point with it
  useHotkeys('escape', () => set({ point: undefined, guide: undefined }), {
    enabled: () => isIn('shape'),
    // It has put a dragged point back, or closed a menu or dialog.
    ignoreEventWhen: (event) => event.defaultPrevented || isInDialog(event),
  });
  useHotkeys(
    'delete, backspace',
    () => {
      const { project, edit } = document.getState();
      const { guide } = session.getState();
      const chosen = chosenPoints(session.getState());
      const run = selectedRun();
      if (chosen.length > 0 && run) edit((p) => deletePoints(p, run.path, chosen));
      else if (project.guides.some(({ id }) => id === guide)) edit((p) => deleteGuide(p, guide!));
      set({ point: undefined, guide: undefined });
    },
    { ...EVERYWHERE, enabled: () => !isIn('pen') }, // there it takes back the last point
  );
  useHotkeys(
    'mod+a',
    () => {
      const path = document.getState().project.paths.find(({ id }) => id === selectedRun()?.path);
      const all = path?.curve.points.map((_, i) => i) ?? [];
      set({ point: all[0], more: all.slice(1), guide: undefined });
    },
    OUTSIDE_DIALOGS,
  );
  useHotkeys('mod+c', () => copy(), { ...EVERYWHERE, enabled: () => session.getState().point !== undefined });
  useHotkeys('mod+v', () => void paste(), EVERYWHERE);
  useHotkeys('space', () => playOrStop(document, session), {
    preventDefault: true,
    ignoreEventWhen: (event) =>
      (event.target as HTMLElement).closest('button, [role="button"], [role="slider"]') !== null,
  });
}
