import { useRef, useState } from 'react';
import type { BroughtFile } from '../../engine/brought-file';
import { Stopped } from '../../engine/compute-client';
import { problemWords } from '../../engine/problem-words';
import { useApp } from '../state/app-context';
import { CRASHED } from '../state/tell';

export interface ReadFile {
  /** Counts up: the same file may be read again. */
  readonly id: number;
  readonly fileName: string;
  readonly brought: BroughtFile;
}

/** Reads a file of paths in the worker; `share` = how far, while it does. */
export function useReadPaths() {
  const { baker, tell } = useApp();
  const [read, setRead] = useState<ReadFile>();
  const [problem, setProblem] = useState<string>();
  const [share, setShare] = useState<number>();
  const controller = useRef<AbortController>(undefined);
  const open = async (file: File) => {
    controller.current = new AbortController();
    let isOver = false; // progress may still arrive when the work has ended
    const show = (done: number) => isOver || setShare(done);
    setProblem(undefined);
    show(0);
    try {
      const bytes = new Uint8Array(await file.arrayBuffer());
      const result = await baker.call((api) => api.paths({ name: file.name, bytes }, show), controller.current.signal);
      if (result.ok) {
        setRead((last) => ({ id: (last?.id ?? 0) + 1, fileName: file.name, brought: result.value }));
        tell.result(result);
      } else setProblem(result.problems.map(problemWords).join(' '));
    } catch (error) {
      if (!(error instanceof Stopped)) setProblem(problemWords(CRASHED));
    } finally {
      isOver = true;
      setShare(undefined);
    }
  };
  return { read, problem, share, open, stop: () => controller.current?.abort() };
}
