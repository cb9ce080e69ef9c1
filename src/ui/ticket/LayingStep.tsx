'use client';

import { Box, Button, Typography } from '@mui/material';
import { useRef } from 'react';
import { fitOf, type FitName } from '../../core/layout/fit-registry';
import { switchRule, type LayingRuleName, type RuleSpec } from '../../core/layout/registry';
import { setCourse, setLaying, setReach, setRule } from '../../project/commands/runs';
import { ChoiceField } from '../fields/ChoiceField';
import { Fold } from '../fields/Fold';
import { fitsFor } from '../dressing/fits-for';
import { NumberField } from '../fields/NumberField';
import { metres } from '../format';
import { useEdit, useSet } from '../state/app-context';
import { BandPicture } from './BandPicture';
import { ClosingFields } from './ClosingFields';
import { FitFields } from './FitFields';
import { layingSummaries } from './laying-summaries';
import { MeetFields } from './MeetFields';
import { PatternFields } from './PatternFields';
import { PlacesFields } from './PlacesFields';
import { PositionFields } from './PositionFields';
import { RuleCards } from './RuleCards';
import { RuleFields } from './RuleFields';
import { StepFiguresText } from './StepFiguresText';
import type { StepProps } from './step-props';
import { useChoices } from './use-choices';
import { VariationFields } from './VariationFields';

/** How many pieces and how they fill the reach; every rule with what it would come to. */
export function LayingStep({ run, course, segment, path, result }: StepProps) {
  const edit = useEdit();
  const set = useSet();
  const at = { run: run.id, course: course.id };
  const keys = ['runs', run.id, 'courses', course.id];
  const { rule, variation } = course.laying;
  const length = result?.path.length ?? 0;
  const fit = fitOf(course.fit);
  const told = layingSummaries(course);
  const choices = useChoices(run, course);
  // A rule that was left keeps its options for as long as the step is open.
  const left = useRef(new Map<LayingRuleName, RuleSpec>());
  const choose = (kind: LayingRuleName) => {
    left.current.set(rule.kind, rule);
    const next = left.current.get(kind) ?? switchRule(rule, kind);
    edit((project) => setRule(project, at, next));
  };
  return (
    <>
      {!fit.isStrewn && <RuleCards chosen={rule.kind} outcomes={choices?.rules} onChoose={choose} />}
      <Box>
        {!fit.isStrewn && <RuleFields run={run} course={course} />}
        {rule.kind === 'pinToPin' && path.curve.closed && <ClosingFields run={run} course={course} path={path} />}
        <ChoiceField
          label="Pieces are"
          value={course.fit.kind}
          choices={fitsFor(run, course).map(({ kind, label }) => ({ value: kind, label }))}
          onChange={(kind: FitName) => edit((project) => setCourse(project, at, { fit: fitOf({ kind }).defaults }))}
        />
        <FitFields run={run} course={course} />
        {course.fit.kind === 'levelBand' && <BandPicture at={at} fit={course.fit} segment={segment} />}
        {(['from', 'to'] as const).map((end) => {
          const value = run.reach[end] ?? (end === 'from' ? 0 : length);
          const label = end === 'from' ? 'From station' : 'To station';
          return (
            <NumberField
              key={end}
              of={['runs', run.id, 'reach', end]}
              label={label}
              quantity="length"
              step={0.1}
              min={0}
              max={length}
              value={value}
              initial={end === 'from' ? 0 : length}
              onChange={(station) => edit((project) => setReach(project, run.id, end, station, length))}
            />
          );
        })}
        {!path.curve.closed && <MeetFields run={run} />}
      </Box>
      {result?.layout.steps && <StepFiguresText steps={result.layout.steps} />}
      {result?.segment.seam !== undefined && (
        <Typography variant="body2" color="text.secondary">
          Largest gap where pieces meet: {metres(result.segment.seam)}.
        </Typography>
      )}
      <Button size="small" variant="outlined" color="secondary" onClick={() => set({ dialog: 'pieces' })}>
        Pieces and parts as tables
      </Button>
      <Box>
        {!fit.isStrewn && (
          <>
            <Fold title="Ends and joints" summary={told.places}>
              <PlacesFields at={at} course={course} />
            </Fold>
            <Fold title="Pattern" summary={told.pattern}>
              <PatternFields at={at} course={course} />
            </Fold>
            <Fold title="Position" summary={told.position}>
              <PositionFields at={at} course={course} />
            </Fold>
          </>
        )}
        <Fold title="Variation" summary={told.variation}>
          <VariationFields
            keys={[...keys, 'laying', 'variation']}
            variation={variation}
            onChange={(next) => edit((project) => setLaying(project, at, { variation: next }))}
          />
        </Fold>
      </Box>
    </>
  );
}
