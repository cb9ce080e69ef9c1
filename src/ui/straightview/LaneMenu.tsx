'use client';

import CheckRounded from '@mui/icons-material/CheckRounded';
import { Divider, ListItemText, Menu, MenuItem } from '@mui/material';
import { useState } from 'react';
import { useStore } from 'zustand';
import { blends } from '../../core/shape/blends';
import type { Reach } from '../../core/shape/reach';
import { areGaugesOne, editLane, laneOf, setLane, type LanePick } from '../../project/commands/lanes';
import type { Run } from '../../project/schema';
import { useApp, useEdit, useSession, useSet } from '../state/app-context';
import { isKeyed, LANE_KINDS, laneKind, type LaneKindName } from './lane-kinds';
import { LanePresets } from './LanePresets';

export interface LaneMenuProps {
  readonly kind: LaneKindName;
  readonly run: Run;
  readonly reach: Reach;
  readonly anchor: Element;
  readonly onClose: () => void;
}

/** What can be done with a lane, and which lanes are shown. */
export function LaneMenu({ kind, run, reach, anchor, onClose }: LaneMenuProps) {
  const { lanes } = useApp();
  const { shown, show, move } = useStore(lanes);
  const [isPresets, setPresets] = useState(false);
  if (isPresets && isKeyed(kind)) return <LanePresets {...{ run, reach, anchor, onClose }} pick={kind} />;
  const closing = (act: () => void) => () => {
    act();
    onClose();
  };
  const at = shown.findIndex((lane) => lane.kind === kind);
  return (
    <Menu open anchorEl={anchor} onClose={onClose} slotProps={{ list: { dense: true } }}>
      {isKeyed(kind) && <KeyedItems {...{ run, closing }} pick={kind} onPresets={() => setPresets(true)} />}
      <MenuItem disabled={at <= 0} onClick={() => move(kind, -1)}>
        Move up
      </MenuItem>
      <MenuItem disabled={at === shown.length - 1} onClick={() => move(kind, 1)}>
        Move down
      </MenuItem>
      <Divider />
      {(Object.keys(LANE_KINDS) as LaneKindName[]).map((other) => {
        const isShown = shown.some((lane) => lane.kind === other);
        return (
          <MenuItem
            key={other}
            role="menuitemcheckbox"
            aria-checked={isShown}
            disabled={isShown && shown.length === 1}
            onClick={() => show(other, !isShown)}
            sx={{ minHeight: 0, py: 0.5 }}
          >
            <CheckRounded sx={{ fontSize: 16, mr: 2, visibility: isShown ? 'visible' : 'hidden' }} />
            <ListItemText primary={laneKind(other).label} />
          </MenuItem>
        );
      })}
    </Menu>
  );
}

interface KeyedItemsProps {
  readonly run: Run;
  readonly pick: LanePick;
  readonly closing: (act: () => void) => () => void;
  readonly onPresets: () => void;
}

function KeyedItems({ run, pick, closing, onPresets }: KeyedItemsProps) {
  const { lanes } = useApp();
  const show = useStore(lanes, (s) => s.show);
  const edit = useEdit();
  const set = useSet();
  const copied = useSession((s) => s.copiedLane);
  const lane = laneOf(run, pick);
  const { quantity } = laneKind(pick);
  const isGauge = pick === 'gauge' || pick === 'gaugeUp' || pick === 'gaugeSide';
  return (
    <>
      <MenuItem onClick={onPresets}>Shapes and presets</MenuItem>
      {lane &&
        Object.values(blends).map(({ kind, label }) => (
          <MenuItem
            key={kind}
            selected={lane.blend === kind}
            onClick={closing(() =>
              edit((project) => editLane(project, run.id, pick, (own) => own && { ...own, blend: kind })),
            )}
          >
            Between keys: {label}
          </MenuItem>
        ))}
      <MenuItem disabled={!lane} onClick={closing(() => set({ copiedLane: lane && { quantity: quantity!, lane } }))}>
        Copy the lane
      </MenuItem>
      <MenuItem
        disabled={copied?.quantity !== quantity}
        onClick={closing(() => edit((project) => setLane(project, run.id, pick, copied!.lane)))}
      >
        Put the copied lane in
      </MenuItem>
      <MenuItem
        disabled={!lane}
        onClick={closing(() => {
          edit((project) => setLane(project, run.id, pick, undefined));
          set({ laneKeys: [] });
        })}
      >
        Take all keys away
      </MenuItem>
      {isGauge && (
        <MenuItem
          onClick={closing(() => {
            const isTogether = pick === 'gauge';
            for (const part of ['gaugeUp', 'gaugeSide'] as const) show(part, isTogether);
            show('gauge', !isTogether);
            if (!isTogether && !areGaugesOne(run))
              edit((project) => setLane(project, run.id, 'gauge', laneOf(run, pick)));
            set({ laneKeys: [] });
          })}
        >
          {pick === 'gauge' ? 'Up and sideways apart' : 'Up and sideways as this one'}
        </MenuItem>
      )}
      <Divider />
    </>
  );
}
