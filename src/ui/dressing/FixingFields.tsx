'use client';

import { LAYING_RULES, switchRule, type LayingRuleName } from '../../core/layout/registry';
import { setRule } from '../../project/commands/runs';
import type { Course, Run } from '../../project/schema';
import { ChoiceField } from '../fields/ChoiceField';
import { useEdit } from '../state/app-context';
import { FitFields } from '../ticket/FitFields';
import { PositionFields } from '../ticket/PositionFields';
import { RuleFields } from '../ticket/RuleFields';

/** At which stations fixings stand, and where on the run. */
export function FixingFields({ run, course }: { run: Run; course: Course }) {
  const edit = useEdit();
  const at = { run: run.id, course: course.id };
  const { rule } = course.laying;
  return (
    <>
      <ChoiceField
        label="Laid"
        value={rule.kind}
        choices={LAYING_RULES.map(({ kind, label }) => ({ value: kind, label }))}
        onChange={(kind: LayingRuleName) => edit((project) => setRule(project, at, switchRule(rule, kind)))}
      />
      <RuleFields run={run} course={course} />
      <FitFields run={run} course={course} />
      <PositionFields at={at} course={course} />
    </>
  );
}
