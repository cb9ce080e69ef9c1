'use client';

import { Box, TextField } from '@mui/material';
import { useEffect, useRef } from 'react';
import { bodySize, guideBody, type GuideShape } from '../../core/guides/guide-spec';
import { PLAIN_FINISH } from '../../project/defaults';
import { changeGuide, setGuideFinish } from '../../project/commands/guides';
import type { PlainFinish } from '../../core/segment/finish/finish-spec';
import type { Address } from '../../project/keys/address';
import type { Guide } from '../../project/schema';
import { Fold } from '../fields/Fold';
import { NumberField } from '../fields/NumberField';
import { PlainFinishFields } from '../fields/PlainFinishFields';
import { PlaceField } from '../fields/PlaceField';
import { SwitchField } from '../fields/SwitchField';
import { UnitField } from '../fields/UnitField';
import { useEdit } from '../state/app-context';
import { PathFromEdges } from './PathFromEdges';
import { WindFields } from './WindFields';

const TURNS = ['x', 'y', 'z'].map((axis) => `Turned about ${axis}`);
/** Metres that a guide asks runs to keep away when that is switched on. */
const CLEARANCE = 0;

/** Whether there is something to wind round: no plane, and no socket. */
const isRound = (shape: GuideShape): boolean => shape.from === 'asset' || guideBody(shape.kind).isOpen !== true;

/** The chosen guide: its name, size, place, what runs keep away, and paths from it. */
export function GuideFields({ guide }: { guide: Guide }) {
  const edit = useEdit();
  const box = useRef<HTMLElement>(null);
  useEffect(() => {
    void box.current?.scrollIntoView({ block: 'nearest' }); // some browsers give a promise, which is no clean-up
  }, []);
  const put = (change: Partial<Guide>) => edit((project) => changeGuide(project, guide.id, change));
  const wear = (finish?: PlainFinish) => edit((project) => setGuideFinish(project, guide.id, finish));
  const { shape, position, turn, clearance } = guide;
  const keys = ['guides', guide.id];
  return (
    <Box ref={box} sx={{ px: 4, pt: 2, display: 'grid', gap: 1 }}>
      <TextField
        size="small"
        label="Name"
        defaultValue={guide.name}
        onBlur={({ target }) => target.value.trim() && put({ name: target.value.trim().slice(0, 200) })}
      />
      <Box>
        {shape.from === 'body' ? (
          <Sizes shape={shape} keys={[...keys, 'shape', 'sizes']} onChange={(next) => put({ shape: next })} />
        ) : (
          <UnitField
            label="Units of the file"
            value={shape.unit}
            onChange={(unit) => put({ shape: { ...shape, unit } })}
          />
        )}
        <PlaceField
          label="its place"
          quantity="length"
          of={[...keys, 'position']}
          value={position}
          onChange={(next) => put({ position: next })}
        />
        <PlaceField
          label="its turn"
          quantity="angle"
          labels={TURNS}
          of={[...keys, 'turn']}
          value={turn}
          onChange={(next) => put({ turn: next })}
        />
        <SwitchField
          label="Keep runs clear"
          value={clearance !== null}
          onChange={(on) => put({ clearance: on ? CLEARANCE : null })}
        />
        {clearance !== null && (
          <NumberField
            label="by"
            of={[...keys, 'clearance']}
            quantity="length"
            step={0.01}
            min={0}
            max={1000}
            value={clearance}
            initial={CLEARANCE}
            onChange={(value) => put({ clearance: value })}
          />
        )}
      </Box>
      <Fold title="Look" summary={guide.finish ? guide.finish.colour : 'pale, seen through'}>
        <SwitchField
          label="It looks like something"
          value={guide.finish !== undefined}
          onChange={(on) => put({ finish: on ? PLAIN_FINISH : undefined })}
        />
        {guide.finish && <PlainFinishFields finish={guide.finish} onChange={wear} />}
      </Fold>
      {isRound(shape) && <WindFields guide={guide} />}
      <PathFromEdges guide={guide} />
    </Box>
  );
}

function Sizes(props: {
  shape: Extract<GuideShape, { from: 'body' }>;
  keys: Address;
  onChange: (shape: GuideShape) => void;
}) {
  const { shape, keys, onChange } = props;
  return guideBody(shape.kind).fields.map((field) => (
    <NumberField
      key={field.key}
      of={[...keys, field.key]}
      label={field.label}
      quantity={field.isCount ? 'plain' : 'length'}
      step={field.isCount ? 1 : 0.05}
      min={field.isCount ? 3 : 1e-4}
      max={field.isCount ? 1000 : 1e5}
      value={bodySize(shape.sizes, field)}
      initial={bodySize({}, field)}
      onChange={(value) => {
        const size = field.isCount ? Math.round(value) : value;
        onChange({ ...shape, sizes: { ...shape.sizes, [field.key]: size } });
      }}
    />
  ));
}
