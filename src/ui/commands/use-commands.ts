import { useColorScheme } from '@mui/material/styles';
import { reverse } from '../../project/commands/path-runs';
import { mirrorPath } from '../../project/commands/mirror';
import { useHold } from '../compare/use-hold';
import { useApp } from '../state/app-context';
import { STEP_TITLES, STEPS } from '../state/steps';
import { TOOL_WORDS, TOOLS } from '../bentview/tools';
import { PICTURE_NAMES, PICTURES } from '../place/pictures';
import { VIEW_NAMES, VIEWS } from '../place/views';
import { useRunActions } from '../ticket/use-run-actions';
import { useRunMenu } from '../ticket/use-run-menu';

/** Something that can be done, with where it is found on the screen and its key. */
export interface Command {
  readonly label: string;
  readonly where: string;
  readonly keyName?: string;
  readonly act: () => void;
}

const DIALOGS = {
  shelf: ['Projects, samples and files', 'Header, the name of the project'],
  export: ['Export a mesh, something that moves, or pictures', 'Header'],
  prepare: ['Prepare the segment', 'Ticket, Segment'],
  bringPath: ['Bring a path from a file', 'Ticket, Path, More'],
  pieces: ['Pieces and parts as tables', 'Ticket, Laying'],
  keys: ['Show all keys', 'Anywhere'],
} as const;

/** All that can be done just now. */
export function useCommands(): readonly Command[] {
  const { document, session, picture, lanes } = useApp();
  const runMenu = useRunMenu(useRunActions());
  const hold = useHold();
  const { mode, setMode } = useColorScheme();
  const { project, edit } = document.getState();
  const state = session.getState();
  const { set } = state;
  const past = document.temporal.getState();
  const run = project.runs.find(({ id }) => id === state.run) ?? project.runs[0];
  const command = (label: string, where: string, act: () => void, keyName?: string): Command => ({ label, where, act, ...(keyName && { keyName }) }); // prettier-ignore
  const ofRun = run
    ? [
        command(`Frame ${run.name}`, 'Bent view', () => state.frame('run'), 'End'),
        ...runMenu(run).flatMap((item) =>
          item === 'line' ? [] : [command(`${run.name}: ${item.label}`, 'Runs, right click', item.act, item.hotkey)],
        ),
        command('Reverse the path', 'Ticket, Path, More', () => edit((p) => reverse(p, run.path) ?? p)),
        ...(['x', 'z'] as const).map(
          (axis) =>
          command(`Mirror the path along ${axis}`, 'Ticket, Path, More', () => edit((p) => mirrorPath(p, run.path, axis) ?? p)), // prettier-ignore
        ),
        command('Hold this state to compare', 'Header', hold),
        ...STEPS.map((step, i) => command(`Open step ${i + 1}, ${STEP_TITLES[step]}`, 'Ticket', () => set({ step }))),
      ]
    : [];
  return [
    command('Undo', 'Header', () => past.undo(), 'Ctrl Z'),
    command('Redo', 'Header', () => past.redo(), 'Ctrl Shift Z'),
    ...TOOLS.map((tool) => command(`Tool: ${TOOL_WORDS[tool].label}`, 'Bent view', () => set({ tool }))),
    ...VIEW_NAMES.map((view) => command(`View: ${VIEWS[view]}`, 'Bent view, Looking', () => set({ view }))),
    command(state.isFlat ? 'Look with perspective' : 'Look without perspective', 'Bent view, Looking', () => set({ view: 'free', isFlat: !state.isFlat })), // prettier-ignore
    ...(project.cameras ?? []).map(({ name, position, target }) =>
      command(`Look from ${name}`, 'Bent view, Looking', () =>
        set({ view: 'free', isFlat: false, lookFrom: { position, target, count: (state.lookFrom?.count ?? 0) + 1 } }),
      ),
    ),
    ...PICTURE_NAMES.map((name) =>
      command(`Picture: ${PICTURES[name].label}`, 'Bent view, Picture', () => picture.getState().setPicture(name)),
    ),
    command('Frame everything', 'Bent view', () => state.frame('all'), 'Home'),
    command('Show only the result, or all again', 'Bent view', () => set({ isResultOnly: !state.isResultOnly }), 'R'),
    command('Play, or stop', 'Straight view', () => set(state.isPlaying ? { isPlaying: false } : { isPlaying: true, time: state.time ?? 0 }), 'Space'), // prettier-ignore
    command('Straight view along the length', 'Straight view', () => set({ along: 'length' })),
    command('Straight view along the time', 'Straight view', () => set({ along: 'time' })),
    command('Show the lane of twist', 'Straight view', () => lanes.getState().show('twist', true)),
    ...ofRun,
    ...project.runs.map(({ id, name }) => command(`Choose ${name}`, 'Runs', () => set({ run: id, point: undefined }))),
    ...(Object.entries(DIALOGS) as [keyof typeof DIALOGS, readonly [string, string]][])
      .filter(([dialog]) => run || dialog === 'shelf' || dialog === 'keys')
      .map(([dialog, [label, where]]) => command(label, where, () => set({ dialog }), dialog === 'keys' ? '?' : undefined)), // prettier-ignore
    command(mode === 'dark' ? 'Light theme' : 'Dark theme', 'Header', () =>
      setMode(mode === 'dark' ? 'light' : 'dark'),
    ),
  ];
}
