'use client';

import { Alert, Box, Button, LinearProgress, Typography } from '@mui/material';
import { useMemo, useState } from 'react';
import type { BroughtFile } from '../../engine/brought-file';
import { problemWords } from '../../engine/problem-words';
import { changeCurve } from '../../project/commands/paths';
import { metres, plural } from '../format';
import { useApp, useEdit, useRun, useSet } from '../state/app-context';
import { LineList } from './LineList';
import { PathPreview } from './PathPreview';
import { PlacingFields } from './PlacingFields';
import { usePlaced } from './use-placed';

/** Which line of a file that was read, and how it lies in the scene. */
export function ChosenLine({ brought, onDone }: { brought: BroughtFile; onDone: () => void }) {
  const edit = useEdit();
  const set = useSet();
  const run = useRun();
  const { session } = useApp();
  const [chosen, setChosen] = useState(0);
  const [placing, setPlacing] = useState(brought.placing);
  const { lines, problem, share } = usePlaced(placing);
  const drawn = useMemo(() => lines?.map(({ places }) => places), [lines]);
  const line = lines?.[chosen];
  const wrong = line?.problem && problemWords(line.problem);
  const { count } = brought.lines[chosen];
  const bring = () => {
    if (!run || !line) return;
    edit((project) => changeCurve(project, run.path, () => line.curve));
    set({ point: undefined, step: 'path' });
    session.getState().frame('run');
    onDone();
  };
  return (
    <>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 300px', gap: 4 }}>
        <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
          <Box sx={{ position: 'relative' }}>
            <PathPreview lines={drawn ?? []} chosen={chosen} />
            {share !== undefined && (
              <LinearProgress
                variant="determinate"
                value={share * 100}
                aria-label="Placing"
                sx={{ position: 'absolute', left: 0, right: 0, bottom: 0 }}
              />
            )}
          </Box>
          {(problem ?? wrong) && <Alert severity="error">{problem ?? wrong}</Alert>}
          {line && (
            <Typography variant="body2" color="text.secondary">
              {metres(line.size[0])} in x, {metres(line.size[1])} up, {metres(line.size[2])} in z;{' '}
              {plural(line.curve.points.length, 'point')}
              {line.curve.points.length < count && `, thinned out of ${count.toLocaleString('en')}`}. {brought.note}
            </Typography>
          )}
        </Box>
        <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
          <LineList brought={brought} chosen={chosen} onChoose={setChosen} />
          <PlacingFields placing={placing} brought={brought} length={line?.length ?? 0} onChange={setPlacing} />
        </Box>
      </Box>
      <Box sx={{ display: 'flex', justifyContent: 'flex-end', gap: 2 }}>
        <Button variant="text" color="secondary" onClick={onDone}>
          Cancel
        </Button>
        <Button
          variant="contained"
          disabled={!run || !line || wrong !== undefined || share !== undefined}
          onClick={bring}
        >
          {run ? `Use it for ${run.name.slice(0, 40)}` : 'Add a run first'}
        </Button>
      </Box>
    </>
  );
}
