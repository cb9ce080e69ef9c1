'use client';

import FileOpenOutlined from '@mui/icons-material/FileOpenOutlined';
import {
  Alert,
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  LinearProgress,
  Typography,
} from '@mui/material';
import { useMemo, useRef, useState } from 'react';
import { distance } from '../../core/math/vec3';
import { PATH_EXTENSIONS } from '../../formats/paths/registry';
import { looksSmooth, placePath, type Placing } from '../../formats/paths/place-paths';
import { changeCurve } from '../../project/commands/paths';
import { metres, plural } from '../format';
import type { BroughtPaths } from '../../formats/paths/path-format';
import { useApp, useEdit, useRun, useSet } from '../state/app-context';
import { PlacingFields } from './PlacingFields';
import { PathPreview, placesAlong } from './PathPreview';
import { useReadPaths, type ReadFile } from './use-read-paths';

/** A path from a file: which of its lines, in which units, and where it lies. */
export function BringPathDialog() {
  const set = useSet();
  const input = useRef<HTMLInputElement>(null);
  const { read, problem, share, open, stop } = useReadPaths();
  const close = () => set({ dialog: undefined });
  return (
    <Dialog open onClose={close} fullWidth maxWidth="md" aria-labelledby="bring-path-title">
      <DialogTitle id="bring-path-title">Bring a path</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 3, alignContent: 'start', minHeight: 420 }}>
        <Box sx={{ display: 'flex', gap: 3, alignItems: 'center' }}>
          <Button
            variant={read ? 'outlined' : 'contained'}
            color={read ? 'secondary' : 'primary'}
            startIcon={<FileOpenOutlined />}
            onClick={() => input.current?.click()}
          >
            {read ? 'Another file' : 'Choose a file'}
          </Button>
          <Typography color="text.secondary" noWrap>
            {read ? read.fileName : 'Drawings (SVG, DXF), tables (CSV), maps (GeoJSON), lines of OBJ and GLB.'}
          </Typography>
          <input
            ref={input}
            type="file"
            hidden
            aria-label="File with paths"
            accept={PATH_EXTENSIONS.map((extension) => `.${extension}`).join(',')}
            onChange={(event) => {
              const file = event.target.files?.[0];
              if (file) void open(file);
              event.target.value = '';
            }}
          />
        </Box>
        {share !== undefined && (
          <Box role="status" sx={{ display: 'grid', gridTemplateColumns: '1fr auto', gap: 2, alignItems: 'center' }}>
            <LinearProgress variant="determinate" value={share * 100} aria-label="Reading" />
            <Button variant="text" onClick={stop}>
              Stop
            </Button>
          </Box>
        )}
        {problem && <Alert severity="error">{problem}</Alert>}
        {read && <Chosen key={read.fileName} read={read} onDone={close} />}
      </DialogContent>
      {!read && (
        <DialogActions>
          <Button variant="text" color="secondary" onClick={close}>
            Cancel
          </Button>
        </DialogActions>
      )}
    </Dialog>
  );
}

/** Metres: as much as nobody sees of a line of that size. */
function thinning({ paths, unit = 1 }: BroughtPaths): number {
  const first = paths[0]!.points[0]!.position;
  const size = paths
    .flatMap(({ points }) => points)
    .reduce((most, { position }) => Math.max(most, distance(position, first)), 0);
  return Number(((size * unit) / 4000).toPrecision(1));
}

/** More lines than this are not listed. */
const MOST_LISTED = 100;

function Chosen({ read: { brought }, onDone }: { read: ReadFile; onDone: () => void }) {
  const edit = useEdit();
  const set = useSet();
  const run = useRun();
  const { session } = useApp();
  const [chosen, setChosen] = useState(0);
  const [placing, setPlacing] = useState<Placing>({
    unit: brought.unit ?? 1,
    plane: 'ground',
    up: brought.up ?? 'y',
    isFlat: brought.isFlat,
    tolerance: thinning(brought),
    isSmooth: brought.paths.every(looksSmooth),
    toOrigin: false,
  });
  const listed = useMemo(() => brought.paths.slice(0, MOST_LISTED), [brought]);
  const curves = useMemo(() => listed.map((path) => placePath(path, placing)), [listed, placing]);
  const lines = useMemo(() => curves.map(placesAlong), [curves]);
  const curve = curves[chosen]!;
  const size = [0, 1, 2].map((c) => {
    const values = lines[chosen]!.map((place) => place[c]!);
    return values.reduce((a, b) => Math.max(a, b), -Infinity) - values.reduce((a, b) => Math.min(a, b), Infinity);
  });
  const length = lines[chosen]!.slice(1).reduce((sum, place, i) => sum + distance(place, lines[chosen]![i]!), 0);
  const bring = () => {
    if (!run) return;
    edit((project) => changeCurve(project, run.path, () => curve));
    set({ point: undefined, step: 'path' });
    session.getState().frame('run');
    onDone();
  };
  return (
    <>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 300px', gap: 4 }}>
        <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
          <PathPreview lines={lines} chosen={new Set([chosen])} />
          <Typography variant="body2" color="text.secondary">
            {metres(size[0]!)} in x, {metres(size[1]!)} up, {metres(size[2]!)} in z;{' '}
            {plural(curve.points.length, 'point')}
            {curve.points.length < listed[chosen]!.points.length &&
              `, thinned out of ${listed[chosen]!.points.length.toLocaleString('en')}`}
            . {brought.note}
          </Typography>
        </Box>
        <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
          <Typography variant="caption" color="text.secondary">
            {plural(brought.paths.length, 'line')} in the file
            {brought.paths.length > MOST_LISTED && `, the first ${MOST_LISTED} are listed`}
          </Typography>
          <Box role="radiogroup" aria-label="Line" sx={{ maxHeight: 150, overflowY: 'auto', mx: -1 }}>
            {listed.map(({ name, closed, points }, i) => (
              <Button
                key={i}
                role="radio"
                aria-checked={i === chosen}
                fullWidth
                size="small"
                variant="text"
                color={i === chosen ? 'primary' : 'secondary'}
                onClick={() => setChosen(i)}
                sx={{ justifyContent: 'space-between', fontWeight: i === chosen ? 650 : 400, px: 1, gap: 2 }}
              >
                <Box component="span" sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
                  {name}
                </Box>
                <Box component="span" sx={{ color: 'text.secondary', whiteSpace: 'nowrap' }}>
                  {plural(points.length, 'point')}
                  {closed ? ', closed' : ''}
                </Box>
              </Button>
            ))}
          </Box>
          <PlacingFields placing={placing} brought={brought} length={length} onChange={setPlacing} />
        </Box>
      </Box>
      <Box sx={{ display: 'flex', justifyContent: 'flex-end', gap: 2 }}>
        <Button variant="text" color="secondary" onClick={onDone}>
          Cancel
        </Button>
        <Button variant="contained" disabled={!run} onClick={bring}>
          {run ? `Use it for ${run.name.slice(0, 40)}` : 'Add a run first'}
        </Button>
      </Box>
    </>
  );
}
