import { useMemo } from 'react';
import type { ComputeApi } from '../../engine/compute-api';
import type { PieceRow } from '../../engine/piece-table';
import { sourceOf } from '../../engine/run-source';
import type { Course, Run } from '../../project/schema';
import { useProject } from '../state/app-context';
import { useAnswer } from '../state/use-answer';

/** All pieces of a course in numbers. */
export function usePieces(run: Run | undefined, course: Course | undefined): readonly PieceRow[] | undefined {
  const project = useProject((s) => s.project);
  const ask = useMemo(() => {
    const source = run && sourceOf(project, run);
    return source?.ok && course ? (api: ComputeApi) => api.pieces(source.value, course.id) : undefined;
  }, [project, run, course]);
  return useAnswer(ask);
}
