'use client';

import { setMeets } from '../../project/commands/runs';
import type { Run } from '../../project/schema';
import { ChoiceField } from '../fields/ChoiceField';
import { useEdit, useProject } from '../state/app-context';

const NONE = 'none';

/** The guides at whose surface a run begins and ends, cut off or drawn on to it. Nothing where there is no guide. */
export function MeetFields({ run }: { run: Run }) {
  const edit = useEdit();
  const guides = useProject((s) => s.project.guides);
  if (guides.length === 0) return null;
  const choices = [{ value: NONE, label: 'no guide' }, ...guides.map(({ id, name }) => ({ value: id, label: name }))];
  return (['start', 'end'] as const).map((end) => {
    const value = run.reach.meets?.[end];
    return (
      <ChoiceField
        key={end}
        label={end === 'start' ? 'Begins flush with' : 'Ends flush with'}
        value={guides.some(({ id }) => id === value) ? value! : NONE}
        choices={choices}
        onChange={(guide) => edit((project) => setMeets(project, run.id, end, guide === NONE ? undefined : guide))}
      />
    );
  });
}
