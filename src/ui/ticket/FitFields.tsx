'use client';

import { fitOf } from '../../core/layout/fit-registry';
import { setCourse } from '../../project/commands/runs';
import type { Course, Run } from '../../project/schema';
import { KindFields } from '../fields/KindFields';
import { useEdit } from '../state/app-context';

/** The numbers of how a course's pieces sit. */
export function FitFields({ run, course }: { run: Run; course: Course }) {
  const edit = useEdit();
  const { id, fit } = course;
  return (
    <KindFields
      kind={fitOf(fit)}
      values={fit}
      initial={fitOf(fit).defaults}
      of={['runs', run.id, 'courses', id, 'fit']}
      onChange={(next) => edit((project) => setCourse(project, { run: run.id, course: id }, { fit: next }))}
    />
  );
}
