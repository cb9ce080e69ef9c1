'use client';

import { useState } from 'react';
import type { Run } from '../../project/schema';
import { useCourse } from '../state/app-context';
import { CourseRow } from './CourseRow';
import { SortableRows } from './SortableRows';
import { coursesShown } from './courses-shown';
import { useCourseActions } from './use-course-actions';

/** The courses of the selected run, under its row. */
export function CourseList({ run }: { run: Run }) {
  const selected = useCourse();
  const actions = useCourseActions(run.id);
  const [renamed, setRenamed] = useState<string>();
  const shown = coursesShown(run, selected?.id);
  return (
    <SortableRows items={shown} onMove={actions.move}>
      {shown.map((course) => (
        <CourseRow
          key={course.id}
          run={run}
          course={course}
          isSelected={selected?.id === course.id}
          isRenamed={renamed === course.id}
          onRename={(isRenamed) => setRenamed(isRenamed ? course.id : undefined)}
          actions={actions}
        />
      ))}
    </SortableRows>
  );
}
