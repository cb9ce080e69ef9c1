'use client';

import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import LockOpenOutlined from '@mui/icons-material/LockOpenOutlined';
import LockOutlined from '@mui/icons-material/LockOutlined';
import VisibilityOffOutlined from '@mui/icons-material/VisibilityOffOutlined';
import VisibilityOutlined from '@mui/icons-material/VisibilityOutlined';
import { Box, ButtonBase, IconButton } from '@mui/material';
import { useState } from 'react';
import { courseName } from '../../project/commands/courses';
import type { Course, Run } from '../../project/schema';
import { whole } from '../format';
import { useProject, useRunResult } from '../state/app-context';
import { CourseMenu } from './CourseMenu';
import { NameField } from './NameField';
import { Swatch } from './Swatch';
import type { CourseActions } from './use-course-actions';

export interface CourseRowProps {
  readonly run: Run;
  readonly course: Course;
  readonly isSelected: boolean;
  readonly isRenamed: boolean;
  readonly onRename: (isRenamed: boolean) => void;
  readonly actions: CourseActions;
}

/** A course in the list of runs, below its run: chosen by a click, renamed by a double click, moved by dragging. */
export function CourseRow({ run, course, isSelected, isRenamed, onRename, actions }: CourseRowProps) {
  const result = useRunResult(run.id)?.courses.find(({ id }) => id === course.id);
  const name = useProject((s) => courseName(s.project, course));
  const [menu, setMenu] = useState<{ x: number; y: number }>();
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({
    id: course.id,
    disabled: isRenamed,
  });
  const button = { width: 24, height: 24 } as const;
  return (
    <Box
      ref={setNodeRef}
      onContextMenu={(event) => {
        event.preventDefault();
        event.stopPropagation();
        setMenu({ x: event.clientX, y: event.clientY });
      }}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      sx={{
        position: 'relative',
        zIndex: isDragging ? 1 : 'auto',
        display: 'flex',
        alignItems: 'center',
        height: 28,
        bgcolor: (t) => (isSelected ? t.vars!.palette.tokens.leafWash : t.vars!.palette.background.paper),
        '& .actions': {
          position: 'absolute',
          right: 8,
          display: 'flex',
          opacity: course.visible && !course.locked ? 0 : 1,
        },
        '&:hover .count, &:focus-within .count': { visibility: 'hidden' },
        '&:hover .actions, & .actions:focus-within': { opacity: 1 },
      }}
    >
      <ButtonBase
        component={isRenamed ? 'div' : 'button'}
        aria-current={isSelected}
        aria-label={`Course ${name} of ${run.name}`}
        {...listeners}
        onClick={() => actions.choose(course.id)}
        sx={{ flex: 1, minWidth: 0, height: '100%', pl: 10, gap: 2, justifyContent: 'flex-start', fontSize: 12.5 }}
      >
        <Swatch course={result} width={12} />
        <NameField
          name={name}
          label="Name of the course"
          isFaint={!course.visible || !run.visible}
          isRenamed={isRenamed}
          onRename={onRename}
          onName={(next) => actions.rename(course.id, next)}
        />
        <Box
          component="span"
          className="count"
          sx={{
            color: isSelected ? 'text.primary' : 'text.secondary',
            fontWeight: 400,
            mr: 4,
            visibility: course.visible && !course.locked ? 'visible' : 'hidden',
          }}
        >
          {result ? whole(result.layout.summary.count) : ''}
        </Box>
      </ButtonBase>
      <Box className="actions">
        <IconButton
          size="small"
          aria-label={course.locked ? `Unlock ${name}` : `Lock ${name}`}
          onClick={() => actions.lock(course.id, !course.locked)}
          sx={button}
        >
          {course.locked ? <LockOutlined sx={{ fontSize: 15 }} /> : <LockOpenOutlined sx={{ fontSize: 15 }} />}
        </IconButton>
        <IconButton
          size="small"
          aria-label={course.visible ? `Hide ${name}` : `Show ${name}`}
          onClick={() => actions.show(course.id, !course.visible)}
          sx={button}
        >
          {course.visible ? (
            <VisibilityOutlined sx={{ fontSize: 15 }} />
          ) : (
            <VisibilityOffOutlined sx={{ fontSize: 15 }} />
          )}
        </IconButton>
      </Box>
      {menu && (
        <CourseMenu
          run={run}
          course={course}
          at={menu}
          actions={actions}
          onRename={() => onRename(true)}
          onClose={() => setMenu(undefined)}
        />
      )}
    </Box>
  );
}
