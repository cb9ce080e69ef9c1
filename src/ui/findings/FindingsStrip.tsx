'use client';

import { Box, Button, Typography } from '@mui/material';
import { problemWords } from '../../engine/problem-words';
import { changeRun } from '../../project/commands/runs';
import { plural } from '../format';
import { useEdit, useResults, useRun } from '../state/app-context';
import { useFindings } from '../state/use-findings';
import { isUndrawn } from '../ticket/step-summaries';
import { FindingCard } from './FindingCard';
import { asideCount, groupFindings } from './group-findings';
import { Note } from './Note';

/** The selected run's findings, beside its lanes: what, where, how much, and the remedy. Nothing where there are none. */
export function FindingsStrip() {
  const run = useRun();
  const edit = useEdit();
  const findings = useFindings(run?.id);
  const told = useResults((s) => (run ? s.problems.get(run.id) : undefined)) ?? [];
  const problems = told.filter((problem) => !isUndrawn(problem)); // one that is about to be drawn is no trouble
  if (!run || !run.visible || (findings.length === 0 && problems.length === 0)) return null;
  const groups = groupFindings(findings, run.setAside);
  const aside = asideCount(findings, run.setAside);
  return (
    <Box component="section" aria-label="Findings" sx={{ display: 'grid', alignContent: 'start', gap: 2 }}>
      {problems.map((problem) => (
        <Note key={problem.code} title="This run cannot be laid" text={problemWords(problem)} />
      ))}
      {groups.map((group) => (
        <FindingCard
          key={group.key}
          run={run}
          group={group}
          onAside={() =>
            edit((project) => changeRun(project, run.id, { setAside: [...(run.setAside ?? []), group.key] }))
          }
        />
      ))}
      {aside > 0 && (
        <Typography variant="body2" color="text.secondary">
          {plural(aside, 'finding')} set aside.{' '}
          <Button
            variant="text"
            size="small"
            sx={{ p: 0, minHeight: 0, minWidth: 0, fontSize: 12, verticalAlign: 'baseline' }}
            onClick={() => edit((project) => changeRun(project, run.id, { setAside: [] }))}
          >
            Show again
          </Button>
        </Typography>
      )}
    </Box>
  );
}
