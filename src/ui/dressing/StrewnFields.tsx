'use client';

import { Button } from '@mui/material';
import { useStore } from 'zustand';
import { groundOf, restsOn } from '../../core/dressing/ground-of';
import type { FitSpec } from '../../core/layout/fit-registry';
import { courseName } from '../../project/commands/courses';
import { setCourse } from '../../project/commands/runs';
import type { Course, Run } from '../../project/schema';
import { ChoiceField } from '../fields/ChoiceField';
import { useApp, useEdit, useProject, useRunResult, useSet } from '../state/app-context';
import { FitFields } from '../ticket/FitFields';
import { partNames } from './part-names';

/** Over what something is strewn, how much of it, and how it lies there. */
export function StrewnFields({ run, course }: { run: Run; course: Course }) {
  const project = useProject((s) => s.project);
  const edit = useEdit();
  const set = useSet();
  const { lanes } = useApp();
  const show = useStore(lanes, (s) => s.show);
  const ground = run.courses[groundOf(run.courses, course)];
  const laid = useRunResult(run.id)?.courses.find(({ id }) => id === ground?.id);
  const { fit } = course;
  if (fit.kind !== 'strewn') return null;
  const put = (next: FitSpec) => edit((before) => setCourse(before, { run: run.id, course: course.id }, { fit: next }));
  const { part = '', ...all } = fit;
  const parts = laid ? partNames(laid) : [];
  const grounds = run.courses.filter((own) => !restsOn(own));
  return (
    <>
      {grounds.length > 1 && (
        <ChoiceField
          label="Over"
          value={ground?.id ?? ''}
          choices={grounds.map((own) => ({ value: own.id, label: courseName(project, own) }))}
          onChange={(on) => put({ ...fit, on })}
        />
      )}
      {parts.length > 1 && (
        <ChoiceField
          label="On its part"
          value={part}
          choices={[{ value: '', label: 'all of it' }, ...parts.map((own) => ({ value: own, label: own }))]}
          onChange={(own) => put(own === '' ? all : { ...all, part: own })}
        />
      )}
      <FitFields run={run} course={course} />
      <Button
        size="small"
        variant="outlined"
        color="secondary"
        fullWidth
        onClick={() => {
          show('density', true);
          set({ along: 'length' });
        }}
      >
        Density along the length
      </Button>
    </>
  );
}
