'use client';

import { letterOf, MOST_BODIES } from '../../core/layout/pattern';
import { PATTERNS_OF_PIECES, patternOf, type PatternName } from '../../core/layout/pattern-registry';
import { setCourse, setLaying, type CourseAt } from '../../project/commands/runs';
import { withoutUnused } from '../../project/commands/courses';
import type { Course } from '../../project/schema';
import { ChoiceField } from '../fields/ChoiceField';
import { KindFields } from '../fields/KindFields';
import { NumberField } from '../fields/NumberField';
import { SwitchField } from '../fields/SwitchField';
import { useEdit } from '../state/app-context';
import { SegmentChoice } from './SegmentChoice';

/** Which segment is laid where, and what is other about every so many of them. */
export function PatternFields({ at, course }: { at: CourseAt; course: Course }) {
  const edit = useEdit();
  const { pattern, everyOther } = course.laying;
  const keys = ['runs', at.run, 'courses', course.id, 'laying'];
  const own = patternOf(pattern);
  const { others } = course;
  const put = (i: number, segment: string | undefined) =>
    segment === undefined ? others.filter((_, k) => k !== i) : others.toSpliced(i, 1, segment);
  const change = (next: Partial<typeof everyOther>) =>
    edit((project) => setLaying(project, at, { everyOther: { ...everyOther, ...next } }));
  return (
    <>
      <ChoiceField
        label="Pieces are"
        value={pattern.kind}
        choices={PATTERNS_OF_PIECES.map(({ kind, label }) => ({ value: kind, label }))}
        onChange={(kind: PatternName) =>
          edit((project) => setLaying(project, at, { pattern: patternOf({ kind }).defaults }))
        }
      />
      <KindFields
        kind={own}
        values={pattern}
        of={[...keys, 'pattern']}
        onChange={(next) => edit((project) => setLaying(project, at, { pattern: next }))}
      />
      {(pattern.kind !== 'same' || others.length > 0) &&
        [...others, undefined]
          .slice(0, MOST_BODIES - 1)
          .map((segment, i) => (
            <SegmentChoice
              key={i}
              label={`Segment ${letterOf(i + 1)}`}
              value={segment}
              none="none"
              onChange={(project, next) => withoutUnused(setCourse(project, at, { others: put(i, next) }))}
            />
          ))}
      <NumberField
        label="Other at every … piece (0 = none)"
        of={[...keys, 'everyOther', 'every']}
        quantity="plain"
        step={1}
        min={0}
        max={1000}
        value={everyOther.every}
        initial={0}
        onChange={(every) => change({ every: Math.round(every) })}
      />
      {everyOther.every > 0 && (
        <>
          <NumberField
            label="Turned by"
            of={[...keys, 'everyOther', 'turn']}
            quantity="angle"
            step={Math.PI / 36}
            value={everyOther.turn}
            initial={0}
            onChange={(turn) => change({ turn })}
          />
          <SwitchField label="Mirrored" value={everyOther.mirrored} onChange={(mirrored) => change({ mirrored })} />
        </>
      )}
    </>
  );
}
