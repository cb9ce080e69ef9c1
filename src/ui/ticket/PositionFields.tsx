'use client';

import { setCourse, type CourseAt } from '../../project/commands/runs';
import type { Course } from '../../project/schema';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';
import { SwitchField } from '../fields/SwitchField';
import { useEdit } from '../state/app-context';

const SIDES = [
  { value: 'own', label: 'as it is' },
  { value: 'left', label: 'its left side' },
  { value: 'middle', label: 'its middle' },
  { value: 'right', label: 'its right side' },
] as const;
const HEIGHTS = [
  { value: 'own', label: 'as it is' },
  { value: 'bottom', label: 'its lower side' },
  { value: 'middle', label: 'its middle' },
  { value: 'top', label: 'its upper side' },
  { value: 'surface', label: 'on top of the run' },
  { value: 'under', label: 'under the run' },
] as const;

/** How a course lies to its path: what of it lies there, and how far beside and above. */
export function PositionFields({ at, course }: { at: CourseAt; course: Course }) {
  const edit = useEdit();
  const change = (next: Partial<Course>) => edit((project) => setCourse(project, at, next));
  const { align } = course;
  const keys = ['runs', at.run, 'courses', course.id];
  const distance = { quantity: 'length', step: 0.05, min: -1e4, max: 1e4 } as const;
  return (
    <>
      <ChoiceField
        label="On the path, sideways"
        value={align.side}
        choices={SIDES}
        onChange={(side) => change({ align: { ...align, side } })}
      />
      <ChoiceField
        label="On the path, in height"
        value={align.height}
        choices={HEIGHTS}
        onChange={(height) => change({ align: { ...align, height } })}
      />
      <NumberField
        of={[...keys, 'side']}
        label="To the right (S)"
        initial={0}
        {...distance}
        value={course.side}
        onChange={(side) => change({ side })}
      />
      <NumberField
        of={[...keys, 'height']}
        label="Above (U)"
        initial={0}
        {...distance}
        value={course.height}
        onChange={(height) => change({ height })}
      />
      <SwitchField label="Mirrored" value={course.mirrored} onChange={(mirrored) => change({ mirrored })} />
    </>
  );
}
