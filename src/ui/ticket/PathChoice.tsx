'use client';

import { choosePath, ownPath } from '../../project/commands/runs';
import { newId } from '../../project/new-id';
import type { Run } from '../../project/schema';
import { ChoiceField } from '../fields/ChoiceField';
import { useEdit, useProject, useSet } from '../state/app-context';

const COPY = 'copy';

/** Which path the run follows: any of the project's, or a copy of its own where it shares one. */
export function PathChoice({ run }: { run: Run }) {
  const edit = useEdit();
  const set = useSet();
  const paths = useProject((s) => s.project.paths);
  const isShared = useProject((s) => s.project.runs.filter(({ path }) => path === run.path).length > 1);
  if (paths.length < 2 && !isShared) return null;
  const choose = (path: string) => {
    edit((project) => (path === COPY ? ownPath(project, run.id, newId()) : choosePath(project, run.id, path)));
    set({ point: undefined });
  };
  return (
    <ChoiceField
      label="Runs along"
      value={run.path}
      choices={[
        ...paths.map(({ id, name }) => ({ value: id, label: name })),
        ...(isShared ? [{ value: COPY, label: 'a copy of its own' }] : []),
      ]}
      onChange={choose}
    />
  );
}
