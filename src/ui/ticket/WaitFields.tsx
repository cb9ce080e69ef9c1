'use client';

import { setMotion } from '../../project/commands/motion';
import { mayWaitFor } from '../../project/commands/waits';
import type { Run } from '../../project/schema';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';
import { useEdit, useProject, useRunResult } from '../state/app-context';

const AT_ONCE = 'at once';

/** When a run begins: at a time, or when another run has grown to a station. */
export function WaitFields({ run: { id, motion } }: { run: Run }) {
  const edit = useEdit();
  const project = useProject((s) => s.project);
  const { after, begins } = motion;
  const other = useRunResult(after?.run ?? '');
  const choices = [
    { value: AT_ONCE, label: 'at the start' },
    ...mayWaitFor(project, id).map(({ id: value, name }) => ({ value, label: `after ${name}` })),
  ];
  const wait = (next: typeof after) => edit((p) => setMotion(p, id, { after: next }));
  return (
    <>
      {choices.length > 1 && (
        <ChoiceField
          label="It begins"
          value={after?.run ?? AT_ONCE}
          choices={choices}
          onChange={(run) => wait(run === AT_ONCE ? null : { run, station: after?.station ?? 0 })}
        />
      )}
      {after && (
        <NumberField
          label="Has grown to station"
          quantity="length"
          step={0.1}
          min={0}
          max={other?.path.length ?? 1e6}
          value={after.station}
          initial={0}
          onChange={(station) => wait({ ...after, station })}
        />
      )}
      <NumberField
        label={after ? 'And waits for' : 'Begins at'}
        quantity="time"
        step={0.1}
        min={0}
        max={3600}
        value={begins}
        initial={0}
        onChange={(next) => edit((p) => setMotion(p, id, { begins: next }))}
      />
    </>
  );
}
