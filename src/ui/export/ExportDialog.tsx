'use client';

import {
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  LinearProgress,
  Typography,
} from '@mui/material';
import { useState } from 'react';
import { frameCount, rangeOf } from '../../core/motion/frame-range';
import type { Repeated } from '../../formats/format';
import { WRITERS, type FormatName } from '../../formats/registry';
import { ChoiceField } from '../fields/ChoiceField';
import { OptionCard } from '../fields/OptionCard';
import { SwitchField } from '../fields/SwitchField';
import { plural, seconds, whole } from '../format';
import { useProject, useResults, useRun, useSession, useSet } from '../state/app-context';
import { useExport } from './use-export';

const HOW: readonly { value: Repeated; label: string }[] = [
  { value: 'nodes', label: 'nodes with one mesh' },
  { value: 'gpu', label: 'instances of one node' },
  { value: 'plain', label: 'each for itself' },
];

/** Which runs, in what state and format; then a file. */
export function ExportDialog() {
  const set = useSet();
  const selected = useRun();
  const runs = useProject((s) => s.project.runs);
  const results = useResults((s) => s.results);
  const time = useSession((s) => s.time);
  const [format, setFormat] = useState<FormatName>('glb');
  const [what, setWhat] = useState<'all' | 'one'>('all');
  const [state, setState] = useState<'finished' | 'now' | 'sequence'>('finished');
  const range = rangeOf(useProject((s) => s.project.time));
  const hasGuides = useProject((s) => s.project.guides.some(({ visible }) => visible));
  const [guides, setGuides] = useState(false);
  const [repeated, setRepeated] = useState<Repeated>('nodes');
  const { start, running, problem } = useExport();
  const close = () => {
    running?.stop();
    set({ dialog: undefined });
  };
  const chosen = what === 'one' ? runs.filter(({ id }) => id === selected?.id) : runs.filter(({ visible }) => visible);
  const hasWheels = chosen.some(({ id }) => (results.get(id)?.wheels.length ?? 0) > 0);
  const shown = chosen.flatMap(({ id }) => results.get(id)?.courses ?? []);
  const repeats =
    WRITERS.find(({ kind }) => kind === format)?.repeats && shown.some((course) => course.repeated.length > 0);
  const triangles = shown.reduce((sum, { geometry }) => sum + geometry.triangles, 0);
  return (
    <Dialog open onClose={close} aria-labelledby="export-title" slotProps={{ paper: { sx: { width: 420 } } }}>
      <DialogTitle id="export-title" variant="h2">
        Export
      </DialogTitle>
      <DialogContent sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 3 }}>
        <Box role="radiogroup" aria-label="Format" sx={{ display: 'grid', gap: 1.5 }}>
          {WRITERS.map(({ kind, label, carries }) => (
            <OptionCard
              key={kind}
              label={label}
              hint={carries}
              consequence={carries}
              isChosen={format === kind}
              onChoose={() => setFormat(kind)}
            />
          ))}
        </Box>
        <Box>
          <ChoiceField
            label="Runs"
            value={what}
            choices={[
              { value: 'all', label: 'all that are shown' },
              { value: 'one', label: selected ? `only ${selected.name}` : 'only the selected' },
            ]}
            onChange={setWhat}
          />
          <ChoiceField
            label="State"
            value={state}
            choices={[
              { value: 'finished', label: 'finished' },
              { value: 'now', label: time === undefined ? 'as shown now' : `at ${seconds(time)}` },
              { value: 'sequence', label: 'all frames, zipped' },
            ]}
            onChange={setState}
          />
          {repeats && <ChoiceField label="Stiff pieces" value={repeated} choices={HOW} onChange={setRepeated} />}
          {(hasGuides || hasWheels) && (
            <SwitchField
              label={hasWheels ? 'Guides and wheels too' : 'Guides too'}
              value={guides}
              onChange={setGuides}
            />
          )}
        </Box>
        <Typography color="text.secondary">
          {plural(chosen.length, 'run')}, about {whole(triangles)} triangles
          {state === 'sequence' && `, in each of ${whole(frameCount(range))} frames (${range.first} to ${range.last})`}.
        </Typography>
        {running && (
          <Box role="status">
            <Typography>{running.words ?? `Baking ${whole(running.share * 100)} %`}</Typography>
            <LinearProgress aria-label="Baking" variant="determinate" value={running.share * 100} />
          </Box>
        )}
        {problem && (
          <Typography role="alert" color="error">
            {problem}
          </Typography>
        )}
      </DialogContent>
      <DialogActions sx={{ px: 6, pb: 4 }}>
        <Button variant="text" color="secondary" onClick={running ? running.stop : close}>
          {running ? 'Stop' : 'Cancel'}
        </Button>
        <Button
          variant="contained"
          color="secondary"
          disabled={running !== undefined || chosen.length === 0}
          onClick={() =>
            void start(
              format,
              {
                run: what === 'one' ? selected?.id : undefined,
                time: state === 'now' ? (time ?? null) : null,
                guides,
                repeated,
              },
              state === 'sequence' ? range : undefined,
            )
          }
        >
          Save file
        </Button>
      </DialogActions>
    </Dialog>
  );
}
