import { addables } from '../../project/addables';
import { emptyProject } from '../../project/schema';
import { saltgrassLanding, smallSamples } from '../../project/samples';
import { dressables } from '../dressing/dressables';
import { useDressing } from '../dressing/use-dressing';
import { useOpenSample } from '../shelf/use-open-sample';
import { useApp, useKits, useRun } from '../state/app-context';
import { useAdd } from '../ticket/use-add';
import { command, type Command } from './command';

const SHELF = 'Header, the name of the project';

/** What can be added to the project, and what can be opened in its place. */
export function useAddCommands(): readonly Command[] {
  const { keeper, tell } = useApp();
  const add = useAdd();
  const dress = useDressing();
  const openSample = useOpenSample();
  const kits = useKits((s) => s.kits);
  const run = useRun();
  const open = (project: ReturnType<typeof emptyProject>) => void keeper.create(project).then(tell.problems);
  return [
    ...addables(kits, '').map((item) => command(`Add: ${item.label}`, 'Runs, +', () => add(item))),
    ...(run
      ? [
          ...addables(kits, '').map((item) =>
            command(`Add on the path of ${run.name}: ${item.label}`, 'Runs, +, Path', () => add(item, 'along')),
          ),
          ...dressables().map(({ kind, item }) =>
            command(`Dress ${run.name}: ${item.label}`, 'Ticket, Dressing', () =>
              dress(run, () => undefined).addMade(kind),
            ),
          ),
        ]
      : []),
    command('New project', SHELF, () => open(emptyProject('Untitled'))),
    command('Open the sample', SHELF, () => open(saltgrassLanding())),
    ...smallSamples().map((sample) => command(`Open the sample: ${sample.name}`, SHELF, () => void openSample(sample))),
  ];
}
