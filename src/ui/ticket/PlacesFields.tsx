'use client';

import { LAYING_DEFAULTS } from '../../core/layout/laying-spec';
import { setCourse, setLaying, type CourseAt } from '../../project/commands/runs';
import { withoutUnused } from '../../project/commands/courses';
import type { Course } from '../../project/schema';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';
import { useEdit } from '../state/app-context';
import { SegmentChoice } from './SegmentChoice';

const JOINTS = [
  { value: 'none', label: 'nowhere' },
  { value: 'corners', label: 'at corners' },
  { value: 'points', label: 'at path points' },
] as const;

/** What stands at the ends of a course and where it is parted, and what stays free there. */
export function PlacesFields({ at, course }: { at: CourseAt; course: Course }) {
  const edit = useEdit();
  const { margins, joints } = course.laying;
  const keys = ['runs', at.run, 'courses', course.id, 'laying'];
  const margin = (key: keyof typeof margins, label: string) => (
    <NumberField
      label={label}
      of={[...keys, 'margins', key]}
      quantity="length"
      step={0.01}
      min={-1e4}
      max={1e4}
      value={margins[key]}
      initial={0}
      onChange={(next) => edit((project) => setLaying(project, at, { margins: { ...margins, [key]: next } }))}
    />
  );
  const place = (key: 'head' | 'tail' | 'joint', label: string, none: string) => (
    <SegmentChoice
      label={label}
      value={course[key]}
      none={none}
      onChange={(project, segment) => withoutUnused(setCourse(project, at, { [key]: segment }))}
    />
  );
  const change = (next: Partial<typeof joints>) =>
    edit((project) => setLaying(project, at, { joints: { ...joints, ...next } }));
  return (
    <>
      {margin('first', 'Free at the start')}
      {margin('last', 'Free at the end')}
      {place('head', 'First piece', 'as the others')}
      {course.head !== undefined && margin('head', 'Gap behind it')}
      {place('tail', 'Last piece', 'as the others')}
      {course.tail !== undefined && margin('tail', 'Gap before it')}
      <ChoiceField label="Parted" value={joints.at} choices={JOINTS} onChange={(next) => change({ at: next })} />
      {joints.at === 'corners' && (
        <NumberField
          label="Corners sharper than"
          of={[...keys, 'joints', 'angle']}
          quantity="angle"
          step={Math.PI / 36}
          min={0}
          max={Math.PI}
          value={joints.angle}
          initial={LAYING_DEFAULTS.joints.angle}
          onChange={(angle) => change({ angle })}
        />
      )}
      {joints.at !== 'none' && (
        <>
          {place('joint', joints.at === 'corners' ? 'Corner piece' : 'Post', 'none, mitred')}
          <NumberField
            label="Free on either side"
            of={[...keys, 'joints', 'clear']}
            quantity="length"
            step={0.01}
            min={0}
            max={1e4}
            value={joints.clear}
            initial={0}
            onChange={(clear) => change({ clear })}
          />
        </>
      )}
    </>
  );
}
