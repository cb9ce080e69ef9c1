'use client';

import DeleteOutlineRounded from '@mui/icons-material/DeleteOutlineRounded';
import { Box, Button } from '@mui/material';
import { groundOf } from '../../core/dressing/ground-of';
import { fitOf } from '../../core/layout/fit-registry';
import { LAYING_RULES, layingRule, switchRule, type LayingRuleName } from '../../core/layout/registry';
import { courseName } from '../../project/commands/courses';
import { setCourse, setRule } from '../../project/commands/runs';
import { partNames } from './part-names';
import type { Course, Run } from '../../project/schema';
import { ChoiceField } from '../fields/ChoiceField';
import { FoldLine } from '../fields/FoldLine';
import { KindFields } from '../fields/KindFields';
import { whole } from '../format';
import { useEdit, useProject, useRunResult } from '../state/app-context';
import { PositionFields } from '../ticket/PositionFields';
import { RowButton } from '../ticket/RowButton';
import { ShowButton } from '../ticket/ShowButton';
import { useCourseActions } from '../ticket/use-course-actions';

export interface DressingRowProps {
  readonly run: Run;
  readonly course: Course;
  readonly isOpen: boolean;
  readonly onToggle: () => void;
}

/** One kind of thing that dresses a run: how many there are, where they stand, or how they are strewn. */
export function DressingRow({ run, course, isOpen, onToggle }: DressingRowProps) {
  const project = useProject((s) => s.project);
  const edit = useEdit();
  const actions = useCourseActions(run.id);
  const results = useRunResult(run.id);
  const result = results?.courses.find(({ id }) => id === course.id);
  const ground = run.courses[groundOf(run.courses, course)];
  const shown = results?.courses.find(({ id }) => id === ground?.id);
  const parts = shown ? partNames(shown) : [];
  const name = courseName(project, course);
  const at = { run: run.id, course: course.id };
  const keys = ['runs', run.id, 'courses', course.id];
  const { fit } = course;
  const { rule } = course.laying;
  const grounds = run.courses.filter((own) => own.fit.kind !== 'strewn' && own.id !== course.id);
  const fitFields = (
    <KindFields
      kind={fitOf(fit)}
      values={fit}
      initial={fitOf(fit).defaults}
      of={[...keys, 'fit']}
      onChange={(next) => edit((before) => setCourse(before, at, { fit: next }))}
    />
  );
  return (
    <FoldLine title={name} summary={result ? whole(result.layout.summary.count) : ''} {...{ isOpen, onToggle }}>
      {fit.kind === 'strewn' ? (
        <>
          {grounds.length > 1 && (
            <ChoiceField
              label="Over"
              value={ground?.id ?? ''}
              choices={grounds.map((own) => ({ value: own.id, label: courseName(project, own) }))}
              onChange={(on) => edit((before) => setCourse(before, at, { fit: { ...fit, on } }))}
            />
          )}
          {parts.length > 1 && (
            <ChoiceField
              label="On its part"
              value={fit.part ?? ''}
              choices={[{ value: '', label: 'all of it' }, ...parts.map((part) => ({ value: part, label: part }))]}
              onChange={(part) => {
                const { part: _, ...all } = fit;
                edit((before) => setCourse(before, at, { fit: part === '' ? all : { ...fit, part } }));
              }}
            />
          )}
          {fitFields}
        </>
      ) : (
        <>
          <ChoiceField
            label="Laid"
            value={rule.kind}
            choices={LAYING_RULES.map(({ kind, label }) => ({ value: kind, label }))}
            onChange={(kind: LayingRuleName) => edit((before) => setRule(before, at, switchRule(rule, kind)))}
          />
          <KindFields
            kind={layingRule(rule)}
            values={rule}
            initial={layingRule(rule).defaults}
            of={[...keys, 'laying', 'rule']}
            onChange={(next) => edit((before) => setRule(before, at, next))}
          />
          {fitFields}
          <PositionFields at={at} course={course} />
        </>
      )}
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
