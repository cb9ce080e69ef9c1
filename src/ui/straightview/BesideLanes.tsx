'use client';

import { Box } from '@mui/material';
import { CompareFigures } from '../compare/CompareFigures';
import { FindingsStrip } from '../findings/FindingsStrip';
import { useRun, useSession } from '../state/app-context';
import type { CourseView } from '../state/results-store';
import { EvennessFigures } from './EvennessFigures';
import { chosenIn, LaneKeyFields } from './LaneKeyFields';

const WIDTH = 268;

/** Beside the lanes, always as wide so that they do not move under the pointer: the chosen keys, or findings and figures. */
export function BesideLanes({ result }: { result: CourseView | undefined }) {
  const run = useRun();
  const laneKeys = useSession((s) => s.laneKeys);
  if (!run) return null;
  const chosen = chosenIn(run, laneKeys);
  return (
    <Box
      sx={{
        ...{ width: WIDTH, flex: 'none', height: '100%', overflowY: 'auto', px: 3, py: 2 },
        ...{ borderLeft: '1px solid', borderColor: 'divider' },
      }}
    >
      {result && chosen.length > 0 ? (
        <LaneKeyFields run={run} length={result.path.length} reach={result.layout.reach} chosen={chosen} />
      ) : (
        <>
          <CompareFigures run={run} />
          <FindingsStrip />
          {result && run.visible && <EvennessFigures result={result} />}
        </>
      )}
    </Box>
  );
}
