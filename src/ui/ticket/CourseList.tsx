'use client';

import { closestCenter, DndContext, PointerSensor, useSensor, useSensors } from '@dnd-kit/core';
import { SortableContext, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { useState } from 'react';
import type { Run } from '../../project/schema';
import { useCourse } from '../state/app-context';
import { CourseRow } from './CourseRow';
import { useCourseActions } from './use-course-actions';

/** The courses of the selected run, under its row. */
export function CourseList({ run }: { run: Run }) {
  const selected = useCourse();
  const actions = useCourseActions(run.id);
  const [renamed, setRenamed] = useState<string>();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => over && actions.move(String(active.id), String(over.id))}
    >
      <SortableContext items={run.courses.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
        {run.courses.map((course) => (
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
      </SortableContext>
    </DndContext>
  );
}
