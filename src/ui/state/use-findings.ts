import { useMemo } from 'react';
import type { Finding } from '../../core/findings/registry';
import { useResults, useRunResult } from './app-context';

const NONE: readonly Finding[] = [];

/** What the checks noticed of a run, and where it passes through others. */
export function useFindings(run: string | undefined): readonly Finding[] {
  const own = useRunResult(run)?.findings ?? NONE;
  const crossings = useResults((s) => (run === undefined ? undefined : s.crossings.get(run))) ?? NONE;
  return useMemo(() => (crossings.length > 0 ? [...own, ...crossings] : own), [own, crossings]);
}
