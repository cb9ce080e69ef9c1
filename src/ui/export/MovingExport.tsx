'use client';

import { Box, DialogContent, Typography } from '@mui/material';
import { useState } from 'react';
import { frameCount, rangeOf } from '../../core/motion/frame-range';
import { MANNER_DEFAULTS, MOST_OF_MANNER } from '../../engine/moving-objects';
import { WRITERS, type FormatName } from '../../formats/registry';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';
import { OptionCards, type Option } from '../fields/OptionCards';
import { bytesText, metres, plural, seconds, whole } from '../format';
import { saveFiles } from '../save-file';
import { useProject } from '../state/app-context';
import { useExported } from './use-exported';
import { useSequence } from './use-sequence';
import { useMoving } from './use-moving';
import type { Work } from './use-work';
import { WhatFields } from './WhatFields';
import { WorkFooter } from './WorkFooter';

type How = 'joints' | 'shapes' | 'sequence';

const CARDS: readonly Option<How>[] = [
  { value: 'joints', label: 'One GLB, on joints', consequence: 'small; bends are near' },
  { value: 'shapes', label: 'One GLB, from shape to shape', consequence: 'large; exact at each' },
  { value: 'sequence', label: 'A file a frame, zipped', consequence: 'exact; any program' },
];

/** A mesh that moves: one file that plays, or one a frame. */
export function MovingExport({ work, onClose }: { work: Work; onClose: () => void }) {
  const exported = useExported();
  const time = useProject((s) => s.project.time);
  const range = rangeOf(time);
  const [how, setHow] = useState<How>('joints');
  const [most, setMost] = useState<Readonly<Record<'joints' | 'shapes', number>>>(MANNER_DEFAULTS);
  const [format, setFormat] = useState<FormatName>('glb');
  const { start } = useSequence(work);
  const moving = useMoving(work);
  const { chosen, triangles, run, guides } = exported;
  const isOne = how !== 'sequence';
  const asked = { by: isOne ? how : 'joints', most: isOne ? most[how] : 0, run, guides } as const;
  const made = isOne ? moving.madeFor(asked) : undefined;
  const begin = () => {
    if (!isOne)
      return void start({ of: 'meshes', format, options: { run, time: null, guides, repeated: 'nodes' }, range });
    if (!made) return void moving.make(asked);
    void work.work(async () => {
      await saveFiles(made.files, made.files[0].name, 'model/gltf-binary');
      return made.files[0].name;
    });
  };
  return (
    <>
      <DialogContent sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 3 }}>
        <OptionCards label="How it moves" options={CARDS} value={how} onChange={setHow} />
        <Box>
          <WhatFields {...exported} />
          {isOne ? (
            <NumberField
              label={how === 'joints' ? 'Joints a course, about' : 'Shapes'}
              quantity="plain"
              step={how === 'joints' ? 8 : 1}
              min={2}
              max={MOST_OF_MANNER}
              value={most[how]}
              initial={MANNER_DEFAULTS[how]}
              onChange={(value) => setMost({ ...most, [how]: Math.round(value) })}
            />
          ) : (
            <ChoiceField
              label="Each is"
              value={format}
              choices={WRITERS.map(({ kind, label }) => ({ value: kind, label }))}
              onChange={setFormat}
            />
          )}
        </Box>
        <Typography color="text.secondary">
          {plural(chosen.length, 'run')}, about {whole(triangles)} triangles
          {isOne
            ? `, ${seconds(frameCount(range) / range.framesPerSecond)}. Stiff pieces move as they are.`
            : `, in each of ${whole(frameCount(range))} frames (${range.first} to ${range.last}).`}
        </Typography>
        {made && (
          <Typography role="status">
            {bytesText(made.files[0].bytes.length)}
            {made.facts.joints > 0 && `, ${plural(made.facts.joints, 'joint')}`}
            {made.facts.shapes > 0 && `, ${plural(made.facts.shapes, 'shape')}`}. Off by up to {metres(made.facts.off)}{' '}
            from what is shown here.
          </Typography>
        )}
      </DialogContent>
      <WorkFooter
        work={work}
        label={isOne && !made ? 'Work it out' : 'Save file'}
        isReady={chosen.length > 0}
        onStart={begin}
        onClose={onClose}
      />
    </>
  );
}
