import { fitOf } from '../core/layout/fit-registry';
import { laidPathOf } from '../core/layout/laid-path';
import { layPieces } from '../core/layout/lay-course';
import { LAYING_RULES, switchRule, type LayingRuleName } from '../core/layout/registry';
import { summaryOf, type LayoutSummary } from '../core/layout/summary';
import type { DerivedCourse, DerivedRun } from './derived';
import { countSlicings, type SlicingCounts } from './slicing-counts';

/** What every laying rule would come to, where it can be laid, and the triangles of the finished course for each way of slicing. */
export interface CourseChoices {
  readonly rules: Partial<Record<LayingRuleName, LayoutSummary>>;
  readonly slicings: SlicingCounts;
}

/** Worked out when somebody chooses, not with every edit: a dozen rules lay the course anew. */
export function choicesOf({ source }: DerivedRun, { course, pieces, laid, shape }: DerivedCourse): CourseChoices {
  const { pastEnd } = source.steps.bending;
  const path = laidPathOf(shape, fitOf(course.fit).measures(course.fit), pieces.segment.box);
  const { laying } = course;
  const rules = LAYING_RULES.flatMap(({ kind }) => {
    if (laying.rule.kind === kind) return [[kind, summaryOf(laid.layout)] as const];
    const rule = switchRule(laying.rule, kind);
    const layout = layPieces({ ...laying, rule }, pieces, { reach: shape.reach, path, pastEnd });
    return layout.ok ? [[kind, summaryOf(layout.value)] as const] : [];
  });
  return { rules: Object.fromEntries(rules), slicings: countSlicings(laid, pieces.segment) };
}
