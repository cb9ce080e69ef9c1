import { useColorScheme } from '@mui/material/styles';
import { TOOL_WORDS, TOOLS } from '../bentview/tools';
import { GRID } from '../bentview/SnapButton';
import { useHold } from '../compare/use-hold';
import { useApp } from '../state/app-context';
import { playOrStop } from '../state/play';
import { LANE_KINDS, laneKind, type LaneKindName } from '../straightview/lane-kinds';
import { command, type Command } from './command';

/** Dialogs: what they are for, where else they are opened, and whether that takes a run. */
const DIALOGS = {
  shelf: ['Projects, samples and files', 'Header, the name of the project', false],
  export: ['Export a mesh, something that moves, or pictures', 'Header', true],
  prepare: ['Prepare the segment', 'Ticket, Segment', true],
  pieces: ['Pieces and parts as tables', 'Ticket, Laying', true],
  keys: ['Show all keys', 'Anywhere', false],
} as const;

const SNAP = 'Bent view, Snap and show';

/** Header, tools, snapping, comparing, playing, lanes. */
export function useScreenCommands(): readonly Command[] {
  const { document, session, lanes } = useApp();
  const hold = useHold();
  const { mode, setMode } = useColorScheme();
  const { project } = document.getState();
  const { set, snapping, comb, held, isResultOnly } = session.getState();
  const past = document.temporal.getState();
  const hasRuns = project.runs.length > 0;
  const snap = (change: Partial<typeof snapping>) => () => set({ snapping: { ...snapping, ...change } });
  const { shown, show } = lanes.getState();
  const laneShown = (kind: LaneKindName) => shown.some((lane) => lane.kind === kind);
  const other = mode === 'dark' ? 'light' : 'dark';
  return [
    command('Undo', 'Header', () => past.undo(), 'Ctrl Z'),
    command('Redo', 'Header', () => past.redo(), 'Ctrl Shift Z'),
    ...(Object.entries(DIALOGS) as [keyof typeof DIALOGS, readonly [string, string, boolean]][])
      .filter(([, [, , needsRun]]) => hasRuns || !needsRun)
      .map(([dialog, [label, where]]) => command(label, where, () => set({ dialog }), dialog === 'keys' ? '?' : undefined)), // prettier-ignore
    command(other === 'light' ? 'Light theme' : 'Dark theme', 'Header', () => setMode(other)),
    ...TOOLS.map((tool) => command(`Tool: ${TOOL_WORDS[tool].label}`, 'Bent view', () => set({ tool }))),
    command('Show only the result, or all again', 'Bent view', () => set({ isResultOnly: !isResultOnly }), 'R'),
    command(snapping.points ? 'Do not snap to points' : 'Snap to points, ends and sockets', SNAP, snap({ points: !snapping.points })), // prettier-ignore
    command(snapping.guides ? 'Do not snap to guides' : 'Snap to guides', SNAP, snap({ guides: !snapping.guides })),
    command(snapping.grid === null ? 'Snap to a grid' : 'Do not snap to a grid', SNAP, snap({ grid: snapping.grid === null ? GRID : null })), // prettier-ignore
    command(comb ? 'Hide the comb of frames' : 'Show frames as a comb', SNAP, () => set({ comb: !comb })),
    ...(hasRuns
      ? [
          command('Hold this state to compare', 'Header', hold),
          ...(held
            ? [
                command('See the held state', 'Bent view, A', () => set({ held: { ...held, seen: 'A' } })),
                command('See the present state', 'Bent view, B', () => set({ held: { ...held, seen: 'B' } })),
                command('See both states', 'Bent view, Both', () => set({ held: { ...held, seen: 'both' } })),
                command('Let the held state go', 'A and B', () => set({ held: undefined })),
              ]
            : []),
          command('Play, or stop', 'Straight view', () => playOrStop(document, session), 'Space'),
          command('Go to the start of the time', 'Straight view', () => set({ isPlaying: false, time: 0 })),
          command('Go to the end of the time', 'Straight view', () =>
            set({ isPlaying: false, time: project.time.seconds }),
          ),
          command('Show the finished state', 'Straight view', () => set({ isPlaying: false, time: undefined })),
          command('Straight view along the length', 'Straight view', () => set({ along: 'length' })),
          command('Straight view along the time', 'Straight view', () => set({ along: 'time' })),
          ...(Object.keys(LANE_KINDS) as LaneKindName[])
            .filter((kind) => !laneShown(kind) || shown.length > 1)
            .map((kind) =>
              command(
                `${laneShown(kind) ? 'Hide' : 'Show'} the lane: ${laneKind(kind).label}`,
                'Straight view, name of a lane',
                () => show(kind, !laneShown(kind)),
              ),
            ),
        ]
      : []),
  ];
}
