'use client';

import KeyboardArrowLeftRounded from '@mui/icons-material/KeyboardArrowLeftRounded';
import KeyboardArrowRightRounded from '@mui/icons-material/KeyboardArrowRightRounded';
import { Box, Button, IconButton, Typography } from '@mui/material';
import { useState } from 'react';
import type { Run } from '../../project/schema';
import { useSet } from '../state/app-context';
import { findingWords, remedyWords } from './finding-words';
import type { FindingGroup } from './group-findings';
import { Note } from './Note';
import { usePutRight } from './use-put-right';

export interface FindingCardProps {
  readonly run: Run;
  readonly group: FindingGroup;
  readonly onAside: () => void;
}

/** One cause of findings: one of its places at a time, with the remedy there. */
export function FindingCard({ run, group, onAside }: FindingCardProps) {
  const set = useSet();
  const putRight = usePutRight(run.id);
  const [place, setPlace] = useState(0);
  const count = group.findings.length;
  const i = Math.min(place, count - 1);
  const finding = group.findings[i];
  const { title, text, remedy } = findingWords(finding);
  const show = (next: number) => {
    setPlace(next);
    const shown = group.findings[next];
    set({ finding: shown, station: shown.at?.station });
  };
  const plain = { p: 0, minHeight: 24, minWidth: 0, fontSize: 12 } as const;
  return (
    <Box
      onPointerEnter={() => set({ finding, station: finding.at?.station })}
      onPointerLeave={() => set({ finding: undefined, station: undefined })}
    >
      <Note title={title} text={text}>
        {count > 1 && (
          <Box sx={{ display: 'flex', alignItems: 'center', ml: -1.5 }}>
            <IconButton size="small" aria-label="Place before" disabled={i === 0} onClick={() => show(i - 1)}>
              <KeyboardArrowLeftRounded sx={{ fontSize: 16 }} />
            </IconButton>
            <Typography variant="body2" color="text.secondary">
              place {i + 1} of {count}
            </Typography>
            <IconButton size="small" aria-label="Next place" disabled={i === count - 1} onClick={() => show(i + 1)}>
              <KeyboardArrowRightRounded sx={{ fontSize: 16 }} />
            </IconButton>
          </Box>
        )}
        <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap' }}>
          {finding.remedy && remedy && (
            <Button variant="text" onClick={() => void putRight(finding)} sx={{ ...plain, textAlign: 'left' }}>
              {remedy}
            </Button>
          )}
          {(finding.others ?? []).map((other) => (
            <Button
              key={remedyWords(other)}
              variant="text"
              onClick={() => void putRight({ ...finding, remedy: other })}
              sx={plain}
            >
              {remedyWords(other)}
            </Button>
          ))}
          <Button variant="text" color="secondary" onClick={onAside} sx={{ ...plain, fontWeight: 400 }}>
            Set aside
          </Button>
        </Box>
      </Note>
    </Box>
  );
}
