import { changeKind } from '../../core/edit/change-kind';
import { TIDIES } from '../../core/edit/tidy';
import type { Tidy } from '../../core/edit/tidy/tidy';
import { CURVE_KINDS, curveKind, type CurveSpec } from '../../core/curve/registry';
import { deletePoints, setClosed } from '../../project/commands/paths';
import { mouthsBeside } from '../../project/commands/plugs';
import { useApp, useChosen, useRun, useRunResult } from '../state/app-context';
import { toleranceFor } from '../ticket/TidyMenu';
import { END_MANNERS, endOver, useEndActions } from '../ticket/use-end-actions';
import { usePathMenu } from '../ticket/use-path-menu';
import { useReplaceCurve } from '../ticket/use-replace-curve';
import { command, commandsOf, type Command } from './command';

const PATH = 'Ticket, Path';
const ENDS = `${PATH}, Ends`;

/** The path of the chosen run: its kind, points and ends. */
export function usePathCommands(): readonly Command[] {
  const { document, session } = useApp();
  const run = useRun();
  const chosen = useChosen();
  const length = useRunResult(run?.id)?.path.length ?? 1;
  const menu = usePathMenu();
  const replace = useReplaceCurve();
  const { make, extend, plug, letGo } = useEndActions();
  const { project, edit } = document.getState();
  const { set } = session.getState();
  const path = project.paths.find(({ id }) => id === run?.path);
  if (!path) return [];
  const curve = path.curve as CurveSpec;
  const { alwaysClosed, group } = curveKind(curve);
  const tidies: readonly Tidy[] = group === 'points' ? Object.values(TIDIES) : [];
  const ends = alwaysClosed || curve.closed ? [] : (['start', 'end'] as const);
  return [
    command('Continue drawing the path', PATH, () => set({ tool: 'pen' })),
    ...(alwaysClosed
      ? []
      : [command(curve.closed ? 'Open the path' : 'Close the path', PATH, () => edit((p) => setClosed(p, path.id, !curve.closed)))]), // prettier-ignore
    ...CURVE_KINDS.filter(({ kind }) => kind !== curve.kind).map(({ kind, label }) =>
      command(`Kind of path: ${label}`, PATH, () => replace(path, changeKind(curve, kind))),
    ),
    ...tidies.map(({ label, tolerance, apply }) =>
      command(`All points: ${label}`, `${PATH}, All points`, () =>
        replace(path, apply(curve, tolerance === undefined ? undefined : toleranceFor(length))),
      ),
    ),
    ...commandsOf(menu(path), 'Path', `${PATH}, More`),
    ...ends.flatMap((end) => [
      ...END_MANNERS.map(({ value, label, hint }) =>
        command(`Make the ${end} ${label.toLowerCase()}: ${hint}`, ENDS, () => make(path, end, value, endOver(length))),
      ),
      command(`Make the path longer at its ${end}`, ENDS, () => extend(path, end, endOver(length))),
      ...mouthsBeside(project, path.id).map((mouth) =>
        command(`Plug the ${end} into ${mouth.name}`, ENDS, () => plug(path, end, mouth)),
      ),
      ...(path.plugs?.[end] ? [command(`Let the ${end} go`, ENDS, () => letGo(path, end))] : []),
    ]),
    ...(chosen.length > 0
      ? [
          command(
            'Delete the chosen points',
            'Bent view, right click',
            () => {
              edit((p) => deletePoints(p, path.id, chosen));
              set({ point: undefined });
            },
            'Delete',
          ),
        ]
      : []),
  ];
}
