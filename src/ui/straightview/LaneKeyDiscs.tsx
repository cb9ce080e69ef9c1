'use client';

import type { KeyboardEvent, PointerEvent } from 'react';
import { toPlace, type LaneKey } from '../../core/shape/lane-spec';
import { deleteLaneKeys, moveLaneKeys, type LanePlace } from '../../project/commands/lanes';
import { quantityText } from '../fields/quantity';
import { metres } from '../format';
import { useEdit, useSession, useSet } from '../state/app-context';
import { KeyDisc } from './KeyDisc';
import { laneKind } from './lane-kinds';
import type { LaidKey } from './lane-values';
import { isSamePlace, movedValue, type LaneDragInput } from './use-lane-drag';
import type { TotalAt } from './use-totals';

interface LaneKeyDiscsProps extends LaneDragInput {
  readonly keys: readonly LaidKey[];
  readonly totalAt: TotalAt;
  readonly onPull: (event: PointerEvent<Element>, key: LaneKey, total: number) => void;
}

/** Of what is seen of the run a press of a key is this share. */
const ALONG = 1 / 200;

/** The keys of a lane, to be dragged, or moved and taken away by keyboard. */
export function LaneKeyDiscs({ pick, run, length, reach, x, y, keys, totalAt, onPull }: LaneKeyDiscsProps) {
  const edit = useEdit();
  const set = useSet();
  const chosen = useSession((s) => s.laneKeys);
  const { label, quantity = 'plain', step = 0.1 } = laneKind(pick);
  const [left, right] = x.range() as [number, number];
  const isChosen = (place: LanePlace) => chosen.some((own) => isSamePlace(own, place));
  const onKeyDown = (event: KeyboardEvent, { key, station }: LaidKey) => {
    const place = { lane: pick, station: key.station };
    const own = isChosen(place) ? chosen : [place];
    const along = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    const up = { ArrowUp: 1, ArrowDown: -1 }[event.key];
    if (along !== undefined || up !== undefined) {
      const metresOn = (along ?? 0) * ALONG * (x.invert(right) - x.invert(left));
      const wanted = totalAt(pick, station) + (up ?? 0) * step;
      edit((project) => {
        const moved = moveLaneKeys(project, run.id, own, (lane, spec) => ({
          by: toPlace(spec, station + metresOn, reach) - toPlace(spec, station, reach),
          most: toPlace(spec, spec.along === 'reach' ? reach.to : length, reach),
          value: (value) => (up === undefined ? value : movedValue(lane, value, totalAt(pick, station), wanted)),
        }));
        set({ laneKeys: moved.places });
        return moved.project;
      });
    } else if (event.key === 'Delete' || event.key === 'Backspace') {
      edit((project) => deleteLaneKeys(project, run.id, own));
      set({ laneKeys: [] });
    } else if (event.key === 'Enter') set({ laneKeys: [place], station });
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const seen = keys.map((laid, i) => ({ ...laid, i })).filter(({ station }) => x(station) >= left - 6 && x(station) <= right + 6); // prettier-ignore
  return seen.map(({ key, station, i }) => (
    <KeyDisc
      key={i}
      aria-label={`Key of ${label} at ${metres(station)}`}
      aria-valuenow={key.value}
      aria-valuetext={`${quantityText(totalAt(pick, station), quantity)} at ${metres(station)}`}
      cx={x(station)}
      cy={y(totalAt(pick, station))}
      isChosen={isChosen({ lane: pick, station: key.station })}
      onPointerDown={(event) => event.button === 0 && onPull(event, key, totalAt(pick, station))}
      onKeyDown={(event) => onKeyDown(event, { key, station })}
    />
  ));
}
