'use client';

import { Divider, ListItemText, Menu, MenuItem } from '@mui/material';
import type { Course, Run } from '../../project/schema';
import { useProject } from '../state/app-context';
import type { CourseActions } from './use-course-actions';

export interface CourseMenuProps {
  readonly run: Run;
  readonly course: Course;
  /** Pixels of the window. */
  readonly at: { readonly x: number; readonly y: number };
  readonly actions: CourseActions;
  readonly onRename: () => void;
  readonly onClose: () => void;
}

/** What a right click on a course offers. */
export function CourseMenu({ run, course, at, actions, onRename, onClose }: CourseMenuProps) {
  const runs = useProject((s) => s.project.runs);
  const item = (primary: string, act: () => void, disabled = false) => (
    <MenuItem
      key={primary}
      dense
      disabled={disabled}
      onClick={() => {
        onClose();
        act();
      }}
    >
      <ListItemText primary={primary} />
    </MenuItem>
  );
  return (
    <Menu open onClose={onClose} anchorReference="anchorPosition" anchorPosition={{ left: at.x, top: at.y }}>
      {item('Rename', onRename, course.locked)}
      {item('Duplicate', () => actions.duplicate(course.id))}
      {item('Copy to the other side', () => actions.mirror(course.id))}
      {runs
        .filter(({ id }) => id !== run.id)
        .map((other) => item(`Copy to ${other.name.slice(0, 60)}`, () => actions.duplicate(course.id, other.id)))}
      <Divider />
      {item(course.visible ? 'Hide' : 'Show', () => actions.show(course.id, !course.visible))}
      {item(course.locked ? 'Unlock' : 'Lock', () => actions.lock(course.id, !course.locked))}
      {item('Delete', () => actions.remove(course.id), course.locked || run.courses.length < 2)}
    </Menu>
  );
}
