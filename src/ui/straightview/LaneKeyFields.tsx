'use client';

import { Box, Button, Typography } from '@mui/material';
import { blends } from '../../core/shape/blends';
import { keyAt } from '../../core/shape/edit-lane';
import { toPlace, toStation, type LaneSpec } from '../../core/shape/lane-spec';
import type { Reach } from '../../core/shape/reach';
import { deleteLaneKeys, editLane, laneOf, moveLaneKeys, type LanePlace } from '../../project/commands/lanes';
import type { Run } from '../../project/schema';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';
import { plural } from '../format';
import { useEdit, useSet } from '../state/app-context';
import { laneKind } from './lane-kinds';

const MEASURES = [
  { value: 'reach', label: 'with the reach' },
  { value: 'path', label: 'at so many metres' },
] as const;

/** Which of the chosen keys there are. */
export const chosenIn = (run: Run, places: readonly LanePlace[]): readonly LanePlace[] =>
  places.filter(({ lane, station }) => {
    const own = laneOf(run, lane);
    return own && keyAt(own, station);
  });

export interface LaneKeyFieldsProps {
  readonly run: Run;
  readonly length: number;
  readonly reach: Reach;
  readonly chosen: readonly LanePlace[];
}

/** The chosen keys of lanes in numbers; of several how their lane goes from one to the next. */
export function LaneKeyFields({ run, length, reach, chosen }: LaneKeyFieldsProps) {
  const edit = useEdit();
  const set = useSet();
  const [first] = chosen;
  const lane = laneOf(run, first.lane)!;
  const key = keyAt(lane, first.station)!;
  const { label, quantity = 'plain', step = 0.1, min = -1e4, neutral } = laneKind(first.lane);
  const isOne = chosen.length === 1;
  const station = toStation(lane, key.station, reach);
  const move = (to: number, value?: number) =>
    edit((project) => {
      const moved = moveLaneKeys(project, run.id, chosen, (_, spec) => ({
        by: toPlace(spec, to, reach) - toPlace(spec, station, reach),
        most: toPlace(spec, spec.along === 'reach' ? reach.to : length, reach),
        ...(value !== undefined && { value: () => value }),
      }));
      set({ laneKeys: moved.places });
      return moved.project;
    });
  /** Keys stay where they are, counted in another way. */
  const recount = (along: 'path' | 'reach') =>
    edit((project) => {
      const keyed = (own: LaneSpec): LaneSpec => ({
        ...own,
        along,
        keys: own.keys.map((each) => ({ ...each, station: toPlace({ along }, toStation(own, each.station, reach), reach) })), // prettier-ignore
      });
      set({ laneKeys: [{ lane: first.lane, station: toPlace({ along }, station, reach) }] });
      return editLane(project, run.id, first.lane, (own) => own && keyed(own));
    });
  return (
    <Box component="section" aria-label="Key of a lane">
      <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between' }}>
        <Typography sx={{ fontWeight: 650 }} noWrap>
          {isOne ? label : plural(chosen.length, 'key')}
        </Typography>
        <Button
          variant="text"
          color="secondary"
          onClick={() => {
            edit((project) => deleteLaneKeys(project, run.id, chosen));
            set({ laneKeys: [] });
          }}
        >
          Delete
        </Button>
      </Box>
      {isOne && (
        <>
          <NumberField
            label="Station"
            quantity="length"
            step={0.1}
            min={lane.along === 'reach' ? reach.from : 0}
            max={lane.along === 'reach' ? reach.to : length}
            value={station}
            onChange={(to) => move(to)}
          />
          <NumberField
            label={quantity !== 'plain' ? 'Is' : first.lane === 'density' ? 'Times as dense' : 'Times as thick'}
            quantity={quantity}
            step={step}
            min={min}
            max={1e4}
            value={key.value}
            initial={neutral}
            onChange={(value) => move(station, value)}
          />
        </>
      )}
      <ChoiceField
        label="Between keys"
        value={lane.blend}
        choices={Object.values(blends).map(({ kind, label: words }) => ({ value: kind, label: words }))}
        onChange={(blend) =>
          edit((project) => editLane(project, run.id, first.lane, (own) => own && { ...own, blend }))
        }
      />
      <ChoiceField label="Keys stay" value={lane.along ?? 'path'} choices={MEASURES} onChange={recount} />
    </Box>
  );
}
