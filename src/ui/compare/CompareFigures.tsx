'use client';

import { Box, Button, Typography } from '@mui/material';
import type { Run } from '../../project/schema';
import { useRunResult, useSession, useSet } from '../state/app-context';
import { compareFigures, runFigures } from './run-figures';
import { useHold } from './use-hold';

/** What changed of a run from the held state to the present one. Nothing where none is held. */
export function CompareFigures({ run }: { run: Run }) {
  const held = useSession((s) => s.held);
  const course = useSession((s) => s.course);
  const now = useRunResult(run.id);
  const set = useSet();
  const hold = useHold();
  if (!held) return null;
  const before = held.results.get(run.id);
  const rows = compareFigures(before && runFigures(before, course), now && runFigures(now, course));
  return (
    <Box component="section" aria-label="A and B" sx={{ mb: 2 }}>
      <Typography sx={{ fontWeight: 650, fontSize: 13 }}>A and B</Typography>
      <Box
        component="table"
        sx={{
          width: '100%',
          mt: 2,
          fontSize: 12,
          '& td, & th': { textAlign: 'right', py: 0.5, fontWeight: 400, whiteSpace: 'nowrap' },
        }}
      >
        <thead>
          <tr>
            <td />
            <th>A</th>
            <th>B</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ name, a, b, isSame }) => (
            <tr key={name}>
              <Box component="td" sx={{ '&&': { textAlign: 'left' }, color: 'text.secondary' }}>
                {name}
              </Box>
              <Box component="td" sx={{ color: 'text.secondary' }}>
                {a}
              </Box>
              <Box component="td" sx={{ '&&': { fontWeight: isSame ? 400 : 650 } }}>
                {isSame ? 'same' : b}
              </Box>
            </tr>
          ))}
        </tbody>
      </Box>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', mx: -2 }}>
        <Button size="small" variant="text" color="secondary" onClick={hold}>
          Hold anew
        </Button>
        <Button size="small" variant="text" color="secondary" onClick={() => set({ held: undefined })}>
          Let it go
        </Button>
      </Box>
    </Box>
  );
}
