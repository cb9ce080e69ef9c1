import { useMemo } from 'react';
import type { CourseChoices } from '../../engine/choices';
import type { ComputeApi } from '../../engine/compute-api';
import { sourceOf } from '../../engine/run-source';
import type { Course, Run } from '../../project/schema';
import { useProject } from '../state/app-context';
import { useAnswer } from '../state/use-answer';

/** What the choices for a course would come to. */
export function useChoices(run: Run, course: Course): CourseChoices | undefined {
  const project = useProject((s) => s.project);
  const ask = useMemo(() => {
    const source = sourceOf(project, run);
    return source.ok ? (api: ComputeApi) => api.choices(source.value, course.id) : undefined;
  }, [project, run, course]);
  return useAnswer(ask);
}
