'use client';

import { maker, MAKERS, type MakerName } from '../../core/segment/registry';
import { addSegment } from '../../project/commands/segments';
import { MADE_PREPARE, makerDefaults } from '../../project/defaults';
import { newId } from '../../project/new-id';
import type { Project } from '../../project/schema';
import { ChoiceField } from '../fields/ChoiceField';
import { useEdit, useProject } from '../state/app-context';

export interface SegmentChoiceProps {
  readonly label: string;
  /** Id of the segment; absent = none. */
  readonly value: string | undefined;
  /** What none is called. */
  readonly none: string;
  /** Puts another one in its place; undefined = none. */
  readonly onChange: (project: Project, segment: string | undefined) => Project;
}

const NONE = 'none';
const MADE = 'made:';

/** One of the project's segments, a new one that is made, or none. */
export function SegmentChoice({ label, value, none, onChange }: SegmentChoiceProps) {
  const segments = useProject((s) => s.project.segments);
  const edit = useEdit();
  const choices = [
    { value: NONE, label: none },
    ...segments.map(({ id, name }) => ({ value: id, label: name })),
    ...MAKERS.map(({ kind, label: name }) => ({ value: `${MADE}${kind}`, label: name, note: 'new' })),
  ];
  const choose = (chosen: string) =>
    edit((project) => {
      if (!chosen.startsWith(MADE)) return onChange(project, chosen === NONE ? undefined : chosen);
      const kind = chosen.slice(MADE.length) as MakerName;
      const id = newId();
      const source = { from: 'maker', spec: makerDefaults(kind) } as const;
      const added = addSegment(project, { id, name: maker(kind).label, source, prepare: MADE_PREPARE, finishes: [] });
      return onChange(added, id);
    });
  return <ChoiceField label={label} value={value ?? NONE} choices={choices} onChange={choose} />;
}
