import { useMemo } from 'react';
import type { ComputeApi } from '../../engine/compute-api';
import type { PartsLine } from '../../engine/parts-list';
import type { Project } from '../../project/schema';
import { useAnswer } from '../state/use-answer';

/** What a project is laid of; nothing is asked where there is none. */
export function useParts(project: Project | undefined): readonly PartsLine[] | undefined {
  const ask = useMemo(() => project && ((api: ComputeApi) => api.parts(project)), [project]);
  return useAnswer(ask);
}
