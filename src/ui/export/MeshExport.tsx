'use client';

import { Box, DialogContent, Typography } from '@mui/material';
import { useState } from 'react';
import type { Repeated } from '../../formats/format';
import { WRITERS } from '../../formats/registry';
import { ChoiceField } from '../fields/ChoiceField';
import { OptionCards, type Option } from '../fields/OptionCards';
import { plural, seconds, whole } from '../format';
import { useSession } from '../state/app-context';
import { useExport, type FileFormat } from './use-export';
import { useExported } from './use-exported';
import type { Work } from './use-work';
import { WhatFields } from './WhatFields';
import { WorkFooter } from './WorkFooter';

const HOW: readonly { value: Repeated; label: string }[] = [
  { value: 'nodes', label: 'nodes with one mesh' },
  { value: 'gpu', label: 'instances of one node' },
  { value: 'plain', label: 'each for itself' },
];

const CARDS: readonly Option<FileFormat>[] = [
  ...WRITERS.map(({ kind, label, carries }) => ({ value: kind, label, consequence: carries })),
  { value: 'usdz', label: 'USDZ', consequence: 'Metres, y up; for phones and headsets' },
];

/** A mesh at one moment. */
export function MeshExport({ work, onClose }: { work: Work; onClose: () => void }) {
  const exported = useExported();
  const time = useSession((s) => s.time);
  const [format, setFormat] = useState<FileFormat>('glb');
  const [state, setState] = useState<'finished' | 'now'>('finished');
  const [repeated, setRepeated] = useState<Repeated>('nodes');
  const { saveMesh } = useExport(work);
  const { chosen, triangles, run, guides } = exported;
  const repeats = exported.hasRepeated && WRITERS.some(({ kind, repeats: can }) => kind === format && can);
  return (
    <>
      <DialogContent sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 3 }}>
        <OptionCards label="Format" options={CARDS} value={format} onChange={setFormat} />
        <Box>
          <WhatFields {...exported} />
          <ChoiceField
            label="State"
            value={state}
            choices={[
              { value: 'finished', label: 'finished' },
              { value: 'now', label: time === undefined ? 'as shown now' : `at ${seconds(time)}` },
            ]}
            onChange={setState}
          />
          {repeats && <ChoiceField label="Stiff pieces" value={repeated} choices={HOW} onChange={setRepeated} />}
        </Box>
        <Typography color="text.secondary">
          {plural(chosen.length, 'run')}, about {whole(triangles)} triangles.
        </Typography>
      </DialogContent>
      <WorkFooter
        work={work}
        label="Save file"
        isReady={chosen.length > 0}
        onStart={() => void saveMesh(format, { run, time: state === 'now' ? (time ?? null) : null, guides, repeated })}
        onClose={onClose}
      />
    </>
  );
}
