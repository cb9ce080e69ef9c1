'use client';

import WarningAmberRounded from '@mui/icons-material/WarningAmberRounded';
import { Box, Button, Typography } from '@mui/material';
import { problemWords } from '../../engine/problem-words';
import { useResults, useRun, useRunResult, useSet } from '../state/app-context';
import { findingWords } from './finding-words';
import { usePutRight } from './use-put-right';

const MOST_SHOWN = 3;

/** The selected run's findings, over the view: what, where, how much, and the remedy. */
export function FindingsPanel() {
  const run = useRun();
  const set = useSet();
  const findings = useRunResult(run?.id)?.view.findings ?? [];
  const problems = useResults((s) => (run ? s.problems.get(run.id) : undefined)) ?? [];
  const putRight = usePutRight(run?.id);
  if (!run || !run.visible || (findings.length === 0 && problems.length === 0)) return null;

  return (
    <Box component="section" aria-label="Findings" sx={{ display: 'grid', gap: 2, width: 248, pointerEvents: 'auto' }}>
      {problems.map((problem) => (
        <Note key={problem.code} title="This run cannot be laid" text={problemWords(problem)} />
      ))}
      {findings.slice(0, MOST_SHOWN).map((finding, i) => {
        const { title, text, remedy } = findingWords(finding);
        return (
          <Box
            key={`${finding.check}${finding.at?.station ?? i}`}
            onPointerEnter={() => set({ finding, station: finding.at?.station })}
            onPointerLeave={() => set({ finding: undefined, station: undefined })}
          >
            <Note title={title} text={text}>
              {finding.remedy && remedy && (
                <Button
                  variant="text"
                  onClick={() => void putRight(finding)}
                  sx={{ p: 0, minHeight: 24, fontSize: 12, justifyContent: 'flex-start' }}
                >
                  {remedy}
                </Button>
              )}
            </Note>
          </Box>
        );
      })}
      {findings.length > MOST_SHOWN && (
        <Typography
          variant="caption"
          sx={{
            bgcolor: 'background.paper',
            borderRadius: 1,
            px: 3,
            py: 1,
            border: '1px solid',
            borderColor: 'divider',
          }}
        >
          and {findings.length - MOST_SHOWN} more
        </Typography>
      )}
    </Box>
  );
}

function Note({ title, text, children }: { title: string; text: string; children?: React.ReactNode }) {
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: '16px 1fr',
        columnGap: 2,
        px: 3,
        py: 2,
        borderRadius: 1,
        bgcolor: 'background.paper',
        border: '1px solid',
        borderColor: 'divider',
        borderLeft: '3px solid',
        borderLeftColor: 'error.main',
        boxShadow: '0 4px 14px rgb(0 0 0 / 0.10)',
      }}
    >
      <WarningAmberRounded sx={{ fontSize: 16, color: 'error.main', mt: 0.5 }} />
      <Box>
        <Typography sx={{ fontWeight: 650, fontSize: 13 }}>{title}</Typography>
        <Typography variant="body2" color="text.secondary">
          {text}
        </Typography>
        {children}
      </Box>
    </Box>
  );
}
