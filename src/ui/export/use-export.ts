import { useState } from 'react';
import { Stopped } from '../../engine/compute-client';
import { problemWords } from '../../engine/problem-words';
import type { Repeated } from '../../formats/format';
import { FORMATS, type FormatName } from '../../formats/registry';
import { fileNameOf, saveFiles } from '../save-file';
import { useApp, useNotify } from '../state/app-context';
import { CRASHED } from '../state/tell';

/** What of the project goes into the file, and how. */
export interface ExportOptions {
  readonly run: string | undefined;
  readonly time: number | null;
  readonly guides: boolean;
  readonly repeated: Repeated;
}

/** Bakes in the worker and saves the file; how far it is, a way to stop, and what went wrong. */
export function useExport() {
  const notify = useNotify();
  const { document, session, baker, tell } = useApp();
  const [running, setRunning] = useState<{ share: number; stop: () => void }>();
  const [problem, setProblem] = useState<string>();
  const start = async (kind: FormatName, options: ExportOptions) => {
    const { project } = document.getState();
    const format = FORMATS.find((f) => f.kind === kind)!;
    const name = fileNameOf(project.name);
    const controller = new AbortController();
    let isOver = false; // progress may still arrive when the work has ended
    const show = (share: number) => isOver || setRunning({ share, stop: () => controller.abort() });
    setProblem(undefined);
    show(0);
    try {
      const baked = await baker.call(
        (api) => api.bake(project, format.extensions[0], name, options, show),
        controller.signal,
      );
      if (!baked.ok) return setProblem(problemWords(baked.problems[0]));
      saveFiles(baked.value.files, name, format.mime);
      tell.result(baked);
      session.getState().set({ dialog: undefined });
      notify(`${baked.value.files.length > 1 ? `${name}.zip` : baked.value.files[0].name} saved`);
    } catch (error) {
      if (!(error instanceof Stopped)) setProblem(problemWords(CRASHED));
    } finally {
      isOver = true;
      setRunning(undefined);
    }
  };
  return { start, running, problem };
}
