'use client';

import WarningAmberRounded from '@mui/icons-material/WarningAmberRounded';
import { Button, Menu, MenuItem } from '@mui/material';
import { useState } from 'react';
import { groupFindings } from '../findings/group-findings';
import { findingWords } from '../findings/finding-words';
import { plural } from '../format';
import { useProject, useResults, useSet } from '../state/app-context';

/** How many findings there are in the whole project; the list leads to their runs. */
export function FindingsCount() {
  const runs = useProject((s) => s.project.runs);
  const results = useResults((s) => s.results);
  const crossings = useResults((s) => s.crossings);
  const set = useSet();
  const [anchor, setAnchor] = useState<HTMLElement>();
  const all = runs.flatMap((run) =>
    run.visible
      ? groupFindings([...(results.get(run.id)?.findings ?? []), ...(crossings.get(run.id) ?? [])], run.setAside).map(
          ({ findings }) => ({
            run,
            finding: findings[0],
            count: findings.length,
          }),
        )
      : [],
  );
  if (all.length === 0) return null;
  return (
    <>
      <Button
        variant="outlined"
        color="error"
        startIcon={<WarningAmberRounded />}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        {plural(all.length, 'finding')}
      </Button>
      <Menu open={anchor !== undefined} anchorEl={anchor ?? null} onClose={() => setAnchor(undefined)}>
        {all.map(({ run, finding, count }, i) => (
          <MenuItem
            key={i}
            dense
            onClick={() => {
              set({ run: run.id, point: undefined, station: finding.at?.station });
              setAnchor(undefined);
            }}
          >
            {run.name}: {findingWords(finding).title}
            {count > 1 && `, ${count} places`}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
