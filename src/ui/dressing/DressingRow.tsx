'use client';

import DeleteOutlineRounded from '@mui/icons-material/DeleteOutlineRounded';
import { Box, Button } from '@mui/material';
import { courseName } from '../../project/commands/courses';
import type { Course, Run } from '../../project/schema';
import { FoldLine } from '../fields/FoldLine';
import { whole } from '../format';
import { useProject, useRunResult } from '../state/app-context';
import { RowButton } from '../ticket/RowButton';
import { ShowButton } from '../ticket/ShowButton';
import { useCourseActions } from '../ticket/use-course-actions';
import { FixingFields } from './FixingFields';
import { StrewnFields } from './StrewnFields';

export interface DressingRowProps {
  readonly run: Run;
  readonly course: Course;
  readonly isOpen: boolean;
  readonly onToggle: () => void;
}

/** One kind of thing that dresses a run: how many there are, where they stand, or how they are strewn. */
export function DressingRow({ run, course, isOpen, onToggle }: DressingRowProps) {
  const name = useProject((s) => courseName(s.project, course));
  const actions = useCourseActions(run.id);
  const result = useRunResult(run.id)?.courses.find(({ id }) => id === course.id);
  const Fields = course.fit.kind === 'strewn' ? StrewnFields : FixingFields;
  return (
    <FoldLine title={name} summary={result ? whole(result.layout.summary.count) : ''} {...{ isOpen, onToggle }}>
      <Fields run={run} course={course} />
      <Box sx={{ display: 'flex', alignItems: 'center', pt: 1 }}>
        <Button size="small" variant="text" color="secondary" sx={{ mx: -2 }} onClick={() => actions.choose(course.id)}>
          Its segment and laying
        </Button>
        <Box sx={{ flex: 1 }} />
        <ShowButton name={name} isShown={course.visible} onClick={() => actions.show(course.id, !course.visible)} />
        <RowButton label={`Delete ${name}`} icon={<DeleteOutlineRounded />} onClick={() => actions.remove(course.id)} />
      </Box>
    </FoldLine>
  );
}
