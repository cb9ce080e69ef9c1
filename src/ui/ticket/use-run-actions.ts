import { freeFolder, moveItems, putInFolder } from '../../project/commands/folders';
import { letGoOfKit } from '../../project/commands/kits';
import { addMirrored, type MirrorAxis } from '../../project/commands/mirror';
import { addAlike, changeRun, deleteRun, freeName } from '../../project/commands/runs';
import { newId } from '../../project/new-id';
import type { Project, Run } from '../../project/schema';
import { useApp } from '../state/app-context';
import { meantBy, toggled } from '../state/chosen-ids';

/** What can be done to runs of the list: to all that are chosen, when the one that is meant is among them. */
export function useRunActions() {
  const { document, session } = useApp();
  const all = (): readonly string[] => {
    const { run, moreRuns } = session.getState();
    return [...(run ? [run] : []), ...moreRuns];
  };
  const chosen = (id: string) => meantBy(all(), id);
  const edit = (change: (project: Project) => Project) => document.getState().edit(change);
  const withCopies = (ids: readonly string[], copy: (project: Project, id: string, run: string) => Project) => {
    const made = ids.map(() => newId());
    edit((project) => ids.reduce((all, id, i) => copy(all, id, made[i]), project));
    session.getState().set({ run: made[0], moreRuns: made.slice(1), point: undefined });
  };
  const pathCopy = (project: Project, id: string) => {
    const run = project.runs.find((r) => r.id === id)!;
    const path = project.paths.find((p) => p.id === run.path)!;
    return { ...path, id: newId(), name: `${freeName(project, run.name)} path` };
  };
  return {
    choose: (id: string, isMore: boolean) => {
      if (!isMore) return session.getState().set({ run: id, point: undefined, station: undefined });
      const isOnlyOne = all().length === 1 && all()[0] === id;
      const next = isOnlyOne ? [id] : toggled(all(), id); // one is always selected
      session.getState().set({ run: next[0], moreRuns: next.slice(1), point: undefined, station: undefined });
    },
    rename: (id: string, name: string) => {
      if (name.trim() !== '') edit((project) => changeRun(project, id, { name: name.trim().slice(0, 200) }));
    },
    duplicate: (id: string) => withCopies(chosen(id), addAlike),
    duplicateOnOwnPath: (id: string) =>
      withCopies(chosen(id), (project, of, run) => addAlike(project, of, run, pathCopy(project, of))),
    mirror: (id: string, axis: MirrorAxis) =>
      withCopies(chosen(id), (project, of, run) =>
        addMirrored(project, of, axis, { run, path: newId(), segment: newId() }),
      ),
    show: ({ id, visible }: Run) =>
      edit((project) => chosen(id).reduce((all, of) => changeRun(all, of, { visible: !visible }), project)),
    letGoOfKit: (id: string) => edit((project) => letGoOfKit(project, id)),
    move: (id: string, to: string) => edit((project) => moveItems(project, 'runs', chosen(id), to)),
    group: (id: string) => edit((project) => putInFolder(project, 'runs', chosen(id), freeFolder(project, 'runs'))),
    ungroup: (id: string) => edit((project) => putInFolder(project, 'runs', chosen(id), undefined)),
    remove: (id: string) => edit((project) => chosen(id).reduce(deleteRun, project)),
  };
}

export type RunActions = ReturnType<typeof useRunActions>;
