import { kitAsRun, kitProject, layKit, renewFromKit, runsOfKit, type Kit } from '../../project/commands/kits';
import { addPath } from '../../project/commands/paths';
import { newId } from '../../project/new-id';
import { encodeProjectFile, parseProjectFile } from '../../project/project-file';
import { assetIdsOf, type Path, type Project, type Run } from '../../project/schema';
import { UNDRAWN } from '../../project/sets/run-of-parts';
import { loadAssets, saveAssets } from '../../project/storage/assets';
import { storageProblem } from '../../project/storage/trouble';
import { fileNameOf, saveBlob } from '../save-file';
import { useApp, useNotify } from '../state/app-context';

/** What can be done with kits; what stands in the way is told. */
export function useKitActions() {
  const { document, session, kits, tell } = useApp();
  const notify = useNotify();
  const edit = document.getState().edit;
  const trying = (work: () => Promise<void>): void =>
    void work().catch((error: unknown) => void tell.problems([storageProblem(error)]));
  const lay = (kit: Kit, path: string, isLinked: boolean, withPath = (project: Project): Project => project) => {
    const run = newId();
    edit((project) => layKit(withPath(project), kit, { run, path, isLinked }));
    session.getState().set({ run, point: undefined, guide: undefined, step: 'laying' });
  };
  return {
    /** Keeps a run as a kit; the run itself stays as it is. */
    keep: (run: Run) =>
      trying(async () => {
        const project = kitProject(document.getState().project, run.id);
        if (!project) return;
        const kit = { id: newId(), project, changedAt: Date.now() };
        await kits.getState().keep(kit);
        notify(`${run.name} is kept as a kit`);
      }),
    lay,
    layOnNewPath: (kit: Kit) => {
      const path: Path = { id: newId(), name: `${kit.project.name} path`, curve: UNDRAWN };
      lay(kit, path.id, true, (project) => addPath(project, path));
      session.getState().set({ step: 'path', tool: 'pen' });
    },
    /** The kit becomes what a run that follows it is now, and so do all others that follow it here. */
    changeFrom: (run: Run) =>
      trying(async () => {
        const kit = kits.getState().kits.find(({ id }) => id === run.kit?.id);
        if (!kit) return notify(`The kit of ${run.name} is not on this shelf. Keep the run as a kit of its own.`, { kind: 'warning' }); // prettier-ignore
        const next = kitAsRun(document.getState().project, run.id, kit, Date.now());
        if (!next) return;
        await kits.getState().keep(next);
        edit((project) => renewFromKit(project, next));
        const count = runsOfKit(document.getState().project, next.id).length;
        notify(`${next.project.name} is changed, and ${count === 1 ? 'the run' : `${count} runs`} that follow it here`);
      }),
    renew: (kit: Kit) => edit((project) => renewFromKit(project, kit)),
    rename: (kit: Kit, name: string) =>
      trying(() => kits.getState().keep({ ...kit, project: { ...kit.project, name } })),
    remove: (kit: Kit) =>
      trying(async () => {
        await kits.getState().remove(kit.id);
        const takeBack = () => trying(() => kits.getState().keep(kit));
        notify(`${kit.project.name} taken off the shelf`, { action: { label: 'Undo', act: takeBack } });
      }),
    save: ({ project }: Kit) =>
      trying(async () => {
        const assets = await loadAssets(assetIdsOf(project));
        const text = encodeProjectFile({ project, assets });
        saveBlob(new Blob([text], { type: 'application/json' }), `${fileNameOf(project.name)} kit.json`);
      }),
    /** Each run of a kit's or project's file becomes a kit. */
    bring: (file: File) =>
      trying(async () => {
        const opened = await parseProjectFile(await file.text());
        if (!opened.ok) return void tell.problems(opened.problems, file.name);
        const kept = await saveAssets(opened.value.assets);
        if (!kept.ok) return void tell.problems(kept.problems, file.name);
        const { project } = opened.value;
        const made = project.runs.flatMap(({ id }) => kitProject(project, id) ?? []);
        if (made.length === 0) return void notify(`${file.name} holds no run. Bring a file with at least one.`, { kind: 'warning' }); // prettier-ignore
        for (const kit of made) await kits.getState().keep({ id: newId(), project: kit, changedAt: Date.now() });
        notify(made.length === 1 ? `${made[0].name} is on the shelf` : `${made.length} kits are on the shelf`);
      }),
  };
}

export type KitActions = ReturnType<typeof useKitActions>;
