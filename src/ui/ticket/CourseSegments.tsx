'use client';

import { letterOf } from '../../core/layout/pattern';
import type { Course, Segment } from '../../project/schema';
import { ChoiceField } from '../fields/ChoiceField';
import { useProject, useSet } from '../state/app-context';

/** Which of a course's segments is shown, where it has several. */
export function CourseSegments({ course, segment }: { course: Course; segment: Segment }) {
  const segments = useProject((s) => s.project.segments);
  const set = useSet();
  const { head, tail, joint, others } = course;
  const places = [
    ...[course.segment, ...others].map((id, i) => [id, letterOf(i)] as const),
    ...Object.entries({ 'first piece': head, 'last piece': tail, 'at joints': joint }).flatMap(([label, id]) =>
      id === undefined ? [] : [[id, label] as const],
    ),
  ];
  const ids = [...new Set(places.map(([id]) => id))];
  if (ids.length < 2) return null;
  const choices = ids.map((id) => {
    const used = places.filter(([own]) => own === id).map(([, label]) => label);
    return { value: id, label: `${used.join(', ')}: ${segments.find((own) => own.id === id)?.name ?? ''}` };
  });
  return (
    <ChoiceField label="Of this course" value={segment.id} choices={choices} onChange={(id) => set({ segment: id })} />
  );
}
