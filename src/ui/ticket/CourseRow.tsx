'use client';

import LockOpenOutlined from '@mui/icons-material/LockOpenOutlined';
import LockOutlined from '@mui/icons-material/LockOutlined';
import { courseName } from '../../project/commands/courses';
import type { Course, Run } from '../../project/schema';
import { whole } from '../format';
import { useProject, useRunResult } from '../state/app-context';
import { ListRow } from './ListRow';
import { NameField } from './NameField';
import { RowButton } from './RowButton';
import { ShowButton } from './ShowButton';
import { Swatch } from './Swatch';
import type { CourseActions } from './use-course-actions';
import { useCourseMenu } from './use-course-menu';

export interface CourseRowProps {
  readonly run: Run;
  readonly course: Course;
  readonly isSelected: boolean;
  readonly isRenamed: boolean;
  readonly onRename: (isRenamed: boolean) => void;
  readonly actions: CourseActions;
}

/** A course in the list of runs, below its run. */
export function CourseRow({ run, course, isSelected, isRenamed, onRename, actions }: CourseRowProps) {
  const result = useRunResult(run.id)?.courses.find(({ id }) => id === course.id);
  const name = useProject((s) => courseName(s.project, course));
  const menu = useCourseMenu(actions)(run, course, () => onRename(true));
  const { visible, locked } = course;
  return (
    <ListRow
      id={course.id}
      isSelected={isSelected}
      isRenamed={isRenamed}
      look={{ height: 28, indent: 10 }}
      button={{
        'aria-current': isSelected,
        'aria-label': `Course ${name} of ${run.name}`,
        onClick: () => actions.choose(course.id),
      }}
      menu={menu}
      end={{
        figure: result ? whole(result.layout.summary.count) : '',
        hasButtons: !visible || locked,
        buttons: (
          <>
            <RowButton
              label={`${locked ? 'Unlock' : 'Lock'} ${name}`}
              icon={locked ? <LockOutlined /> : <LockOpenOutlined />}
              onClick={() => actions.lock(course.id, !locked)}
            />
            <ShowButton name={name} isShown={visible} onClick={() => actions.show(course.id, !visible)} />
          </>
        ),
      }}
    >
      <Swatch course={result} width={12} />
      <NameField
        name={name}
        label="Name of the course"
        isFaint={!visible || !run.visible}
        isRenamed={isRenamed}
        onRename={onRename}
        onName={(next) => actions.rename(course.id, next)}
      />
    </ListRow>
  );
}
