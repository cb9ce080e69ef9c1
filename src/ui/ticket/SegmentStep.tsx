'use client';

import { Box, Button, Typography } from '@mui/material';
import { MAKERS, maker, type MakerName, type MakerSpec } from '../../core/segment/registry';
import { mapParts } from '../../core/layout/course-parts';
import { layingRule } from '../../core/layout/registry';
import { setCourse } from '../../project/commands/runs';
import { addSegment, makerLike, renameAlong, setMaker } from '../../project/commands/segments';
import { MADE_PREPARE } from '../../project/defaults';
import type { Course, Segment } from '../../project/schema';
import { withoutUnused } from '../../project/commands/courses';
import { BringButton } from '../fields/BringButton';
import { ChoiceField } from '../fields/ChoiceField';
import { metres, plural, whole } from '../format';
import { useEdit, useNotify, useSet } from '../state/app-context';
import { arrivalWords, broughtSegment } from '../state/brought-segment';
import { CourseSegments } from './CourseSegments';
import { LieFields } from './LieFields';
import { MakerForm } from './MakerForm';
import type { StepProps } from './step-props';

/** What gets laid: a made segment with its numbers, or a brought mesh and how it is turned. */
export function SegmentStep({ run, course, segment, result }: StepProps) {
  const notify = useNotify();
  const edit = useEdit();
  const set = useSet();
  const { source } = segment;
  const put = (next: Segment) =>
    edit((project) => {
      const named = renameAlong(project, segment.id, segment.name, next.name);
      const at = { run: run.id, course: course.id };
      const other = mapParts(course, (id) => (id === segment.id ? next.id : id));
      return withoutUnused(setCourse(addSegment(named, next), at, other));
    });
  const kinds = MAKERS.map(({ kind, label }) => ({ value: kind, label }));
  const asset = { value: 'asset' as const, label: source.from === 'asset' ? source.fileName : 'A mesh' };
  const chooseKind = (kind: MakerName | 'asset') => {
    if (kind === 'asset') return;
    if (source.from === 'maker') edit((project) => setMaker(project, segment.id, makerLike(kind, source.spec)));
    else
      put({
        ...segment,
        id: `${segment.id}-made`,
        name: maker(kind).label,
        source: { from: 'maker', spec: makerLike(kind, result ? { length: result.segment.length } : {}) },
        prepare: MADE_PREPARE,
      });
  };
  return (
    <>
      <CourseSegments course={course} segment={segment} />
      <ChoiceField
        label="Segment"
        value={source.from === 'maker' ? source.spec.kind : 'asset'}
        choices={source.from === 'asset' ? [...kinds, asset] : kinds}
        onChange={chooseKind}
      />
      {source.from === 'maker' && (
        <MakerForm segment={segment} spec={source.spec} seen={seenSpec(source.spec, course, result)} />
      )}
      {result && <SegmentFigures result={result} />}
      <LieFields segment={segment} result={result} />
      <Button variant="outlined" color="secondary" onClick={() => set({ dialog: 'prepare' })}>
        Prepare the segment
      </Button>
      <Box sx={{ pt: 1 }}>
        <BringButton
          label="Bring a mesh (GLB, OBJ, STL, PLY)"
          onBrought={(mesh) => {
            put(broughtSegment(mesh));
            notify(arrivalWords(mesh));
            set({ dialog: 'prepare' });
          }}
        />
      </Box>
    </>
  );
}

/** The spec as it is laid: some things are made as long as the run. */
function seenSpec(spec: MakerSpec, course: Course, result: StepProps['result']): MakerSpec {
  const { fill } = maker(spec.kind);
  if (!fill || !result || layingRule(course.laying.rule).isCounted) return spec;
  const { from, to } = result.layout.reach;
  return fill(spec, to - from) as MakerSpec;
}

function SegmentFigures({ result }: { result: NonNullable<StepProps['result']> }) {
  const { segment } = result;
  const { min, max } = segment.box;
  const size = [max[0] - min[0], max[1] - min[1], max[2] - min[2]] as const;
  return (
    <Typography variant="body2" color="text.secondary">
      {metres(size[0])} long (F {segment.axes.forward}), {metres(size[1])} high (U {segment.axes.up}), {metres(size[2])}{' '}
      wide (S); {plural(segment.triangles, 'triangle')}. {plural(segment.ownRows, 'row')} of its own, sliced to{' '}
      {whole(segment.rows)}.
    </Typography>
  );
}
