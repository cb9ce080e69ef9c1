import { useState } from 'react';
import type { Problem, Result } from '../../core/math/result';
import { Stopped } from '../../engine/compute-client';
import { problemWords } from '../../engine/problem-words';
import { NoCodec } from '../pictures/film';
import { useApp, useNotify } from '../state/app-context';
import { CRASHED } from '../state/tell';

/** How far the work is, in words too where it can be said how much is left. */
export interface Running {
  readonly share: number;
  readonly words?: string | undefined;
  readonly stop: () => void;
}

export type Show = (share: number, words?: string) => void;

/** What long work does; the name of what it saved ends it and closes the dialog. */
type Act = (signal: AbortSignal, show: Show) => Promise<string | undefined>;

export interface Work {
  readonly running: Running | undefined;
  /** What went wrong, in words. */
  readonly problem: string | undefined;
  work(act: Act): Promise<void>;
}

/** What a result does not hold. */
class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.code);
  }
}

/** The value of a result; its first problem ends the work. */
export function wanted<T>(result: Result<T>): T {
  if (!result.ok) throw new Refused(result.problems[0]);
  return result.value;
}

/** Throws where the work was stopped. */
export function goOn(signal: AbortSignal): void {
  if (signal.aborted) throw new Stopped();
}

/** One long work at a time: how far it is, a way to stop it, and what went wrong. */
export function useWork(): Work {
  const notify = useNotify();
  const { session } = useApp();
  const [running, setRunning] = useState<Running>();
  const [problem, setProblem] = useState<string>();
  const work = async (act: Act) => {
    const controller = new AbortController();
    let isOver = false; // progress may still arrive when the work has ended
    const show: Show = (share, words) => isOver || setRunning({ share, words, stop: () => controller.abort() });
    setProblem(undefined);
    show(0);
    try {
      const saved = await act(controller.signal, show);
      if (saved === undefined) return;
      session.getState().set({ dialog: undefined });
      notify(`${saved} saved`);
    } catch (error) {
      if (error instanceof Refused) setProblem(problemWords(error.problem));
      else if (error instanceof NoCodec)
        setProblem('This browser can write no film of this sort. Take the other one, or pictures by number.');
      else if (!(error instanceof Stopped)) setProblem(problemWords(CRASHED));
    } finally {
      isOver = true;
      setRunning(undefined);
    }
  };
  return { running, problem, work };
}
