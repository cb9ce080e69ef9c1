'use client';

import { Box, DialogContent, Typography } from '@mui/material';
import { useState } from 'react';
import { frameCount, rangeOf } from '../../core/motion/frame-range';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';
import { OptionCards, type Option } from '../fields/OptionCards';
import { SwitchField } from '../fields/SwitchField';
import { whole } from '../format';
import { useProject } from '../state/app-context';
import { fittedSize, SIZE_DEFAULTS, SizeFields, type PictureSize } from './SizeFields';
import { useExport } from './use-export';
import { usePictures } from './use-pictures';
import { useSequence } from './use-sequence';
import type { Work } from './use-work';
import { WorkFooter } from './WorkFooter';

type PictureKind = 'still' | 'mp4' | 'webm' | 'zip';

const CARDS: readonly Option<PictureKind>[] = [
  { value: 'still', label: 'One picture', consequence: 'PNG' },
  { value: 'mp4', label: 'Film, MP4', consequence: 'for most players' },
  { value: 'webm', label: 'Film, WebM', consequence: 'for the web' },
  { value: 'zip', label: 'A picture a frame, zipped', consequence: 'PNG, by number' },
];

/** Seconds that one turn round the scene takes to begin with. */
const TURN_SECONDS = 6;

/** Pictures of the bent view as it is looked at now. */
export function PictureExport({ work, onClose }: { work: Work; onClose: () => void }) {
  const time = useProject((s) => s.project.time);
  const [rate, setRate] = useState(time.framesPerSecond);
  const range = rangeOf({ ...time, framesPerSecond: rate });
  const [kind, setKind] = useState<PictureKind>('still');
  const [size, setSize] = useState<PictureSize>(SIZE_DEFAULTS);
  const [over, setOver] = useState<'time' | 'turn'>('time');
  const [turnSeconds, setTurnSeconds] = useState(TURN_SECONDS);
  const [isClear, setClear] = useState(false);
  const [guides, setGuides] = useState(false);
  const { savePicture } = useExport(work);
  const { start } = useSequence(work);
  const { eyeNow } = usePictures();
  const isStill = kind === 'still';
  const mayBeClear = isStill || kind === 'zip';
  const frames = over === 'time' ? frameCount(range) : Math.round(turnSeconds * range.framesPerSecond);
  return (
    <>
      <DialogContent sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 3 }}>
        <OptionCards label="Pictures" options={CARDS} value={kind} onChange={setKind} />
        <Box>
          <SizeFields isOne={isStill} value={size} onChange={setSize} />
          {!isStill && (
            <NumberField
              label="Frames a second"
              quantity="plain"
              step={1}
              min={1}
              max={240}
              value={rate}
              initial={time.framesPerSecond}
              onChange={setRate}
            />
          )}
          {!isStill && (
            <ChoiceField
              label="Over"
              value={over}
              choices={[
                { value: 'time', label: 'the time that is played' },
                { value: 'turn', label: 'one turn round it' },
              ]}
              onChange={setOver}
            />
          )}
          {!isStill && over === 'turn' && (
            <NumberField
              label="One turn takes"
              quantity="time"
              step={1}
              min={0.5}
              max={600}
              value={turnSeconds}
              initial={TURN_SECONDS}
              onChange={setTurnSeconds}
            />
          )}
          {mayBeClear && <SwitchField label="Nothing behind it" value={isClear} onChange={setClear} />}
          <SwitchField label="Guides too" value={guides} onChange={setGuides} />
        </Box>
        <Typography color="text.secondary">
          The bent view as you look at it now
          {isStill ? '.' : `, ${whole(frames)} frames at ${range.framesPerSecond} a second.`}
        </Typography>
      </DialogContent>
      <WorkFooter
        work={work}
        label="Save file"
        isReady
        onStart={() => {
          const asked = {
            ...fittedSize(size, isStill),
            frames: isStill ? 1 : frames,
            framesPerSecond: rate,
            isClear: isClear && mayBeClear,
            guides,
          };
          if (kind === 'still') void savePicture({ ...asked, over: undefined });
          else void start({ of: 'pictures', as: kind, asked: { ...asked, over }, eye: eyeNow() });
        }}
        onClose={onClose}
      />
    </>
  );
}
