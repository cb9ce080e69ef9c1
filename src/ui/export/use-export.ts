import { useState } from 'react';
import { frameName, frameTime, type FrameRange } from '../../core/motion/frame-range';
import type { Problem } from '../../core/math/result';
import { Stopped } from '../../engine/compute-client';
import { problemWords } from '../../engine/problem-words';
import type { Repeated } from '../../formats/format';
import { FORMATS, type FormatName } from '../../formats/registry';
import { fileNameOf, saveBlob, saveFiles } from '../save-file';
import { useApp, useNotify } from '../state/app-context';
import { CRASHED } from '../state/tell';
import { zipFrames } from './zip-frames';

/** What of the project goes into the file, and how. */
export interface ExportOptions {
  readonly run: string | undefined;
  readonly time: number | null;
  readonly guides: boolean;
  readonly repeated: Repeated;
}

/** How far the work is, in words too where it can be said how much is left. */
export interface Running {
  readonly share: number;
  readonly words?: string | undefined;
  readonly stop: () => void;
}

/** Bakes in the worker and saves the file, or a sequence of them; how far it is, a way to stop, and what went wrong. */
export function useExport() {
  const notify = useNotify();
  const { document, session, baker, tell } = useApp();
  const [running, setRunning] = useState<Running>();
  const [problem, setProblem] = useState<string>();
  const work = async (act: (signal: AbortSignal, show: (share: number, words?: string) => void) => Promise<string>) => {
    const controller = new AbortController();
    let isOver = false; // progress may still arrive when the work has ended
    const show = (share: number, words?: string) =>
      isOver || setRunning({ share, words, stop: () => controller.abort() });
    setProblem(undefined);
    show(0);
    try {
      const saved = await act(controller.signal, show);
      session.getState().set({ dialog: undefined });
      notify(`${saved} saved`);
    } catch (error) {
      if (error instanceof Refused) setProblem(problemWords(error.problem));
      else if (!(error instanceof Stopped)) setProblem(problemWords(CRASHED));
    } finally {
      isOver = true;
      setRunning(undefined);
    }
  };
  const start = (kind: FormatName, options: ExportOptions, range?: FrameRange) =>
    work(async (signal, show) => {
      const { project } = document.getState();
      const { extensions, mime } = FORMATS.find((f) => f.kind === kind)!;
      const name = fileNameOf(project.name);
      const bake = async (own: string, more: object, onProgress: (share: number) => void) => {
        const asked = { ...options, ...more };
        const baked = await baker.call((api) => api.bake(project, extensions[0], own, asked, onProgress), signal);
        if (!baked.ok) throw new Refused(baked.problems[0]);
        return baked;
      };
      if (range) {
        const frame = async (number: number) => {
          const more = { time: frameTime(range, number), mayBeEmpty: true };
          return (await bake(frameName(name, number, range), more, () => undefined)).value.files;
        };
        saveBlob(await zipFrames(range, frame, show), `${name}.zip`);
        return `${name}.zip`;
      }
      const baked = await bake(name, {}, show);
      const { files } = baked.value;
      await saveFiles(files, name, mime);
      tell.result(baked);
      return files.length > 1 ? `${name}.zip` : files[0].name;
    });
  return { start, running, problem };
}

/** What a bake does not do. */
class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.code);
  }
}
