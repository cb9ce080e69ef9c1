'use client';

import { layingRule } from '../../core/layout/registry';
import { setRule } from '../../project/commands/runs';
import type { Course, Run } from '../../project/schema';
import { KindFields } from '../fields/KindFields';
import { useEdit } from '../state/app-context';

/** The numbers of the rule that lays a course. */
export function RuleFields({ run, course }: { run: Run; course: Course }) {
  const edit = useEdit();
  const { rule } = course.laying;
  return (
    <KindFields
      kind={layingRule(rule)}
      values={rule}
      initial={layingRule(rule).defaults}
      of={['runs', run.id, 'courses', course.id, 'laying', 'rule']}
      onChange={(next) => edit((project) => setRule(project, { run: run.id, course: course.id }, next))}
    />
  );
}
