'use client';

import DeleteOutlineRounded from '@mui/icons-material/DeleteOutlineRounded';
import { Box, Button, ButtonBase, IconButton, InputBase, Popover, Typography } from '@mui/material';
import { useState } from 'react';
import { useStore } from 'zustand';
import { toPlace, toStation, type LaneSpec } from '../../core/shape/lane-spec';
import { profileKeys, profileOf, PROFILES, withKeysOver, type ProfileSpec } from '../../core/shape/profile-registry';
import type { Reach } from '../../core/shape/reach';
import { laneOf, setLane, type LanePick } from '../../project/commands/lanes';
import type { Run } from '../../project/schema';
import { KindFields } from '../fields/KindFields';
import { useApp, useEdit } from '../state/app-context';
import { laneKind } from './lane-kinds';
import { LanePicture } from './LanePicture';

export interface LanePresetsProps {
  readonly pick: LanePick;
  readonly run: Run;
  readonly reach: Reach;
  readonly anchor: Element;
  readonly onClose: () => void;
}

/** Ready shapes of a lane: for gauges tips, swellings and waves, laid over what is there; for all those that were kept, in its stead. */
export function LanePresets({ pick, run, reach, anchor, onClose }: LanePresetsProps) {
  const { lanes } = useApp();
  const { presets, keep, forget } = useStore(lanes);
  const edit = useEdit();
  // What was there before the shape that is being tried.
  const [before] = useState(() => inShares(laneOf(run, pick), reach));
  const [tried, setTried] = useState<ProfileSpec>();
  const [name, setName] = useState('');
  const { quantity = 'plain', label } = laneKind(pick);
  const lane = laneOf(run, pick);
  const put = (made: LaneSpec | undefined) => edit((project) => setLane(project, run.id, pick, made));
  const lay = (spec: ProfileSpec) => {
    setTried(spec);
    put(withKeysOver(before, profileKeys(spec), profileOf(spec).blend));
  };
  const own = presets.filter((preset) => preset.quantity === quantity);
  return (
    <Popover
      open
      anchorEl={anchor}
      onClose={onClose}
      anchorOrigin={{ vertical: 'top', horizontal: 'left' }}
      transformOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      slotProps={{ paper: { role: 'dialog', 'aria-label': `Shapes of ${label}`, sx: { width: 318, p: 3 } } }}
    >
      <Typography sx={{ fontWeight: 650, mb: 2 }}>{label} along the run</Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', gap: 1.5 }}>
        {quantity === 'plain' &&
          PROFILES.map((profile) => (
            <Picture
              key={profile.kind}
              label={profile.label}
              hint={profile.hint}
              lane={{ blend: profile.blend, along: 'reach', keys: [...profileKeys(profile.defaults)] }}
              isGauge
              isChosen={tried?.kind === profile.kind}
              onChoose={() => lay(profile.defaults)}
            />
          ))}
        {own.map((preset) => (
          <Box key={preset.name} sx={{ position: 'relative' }}>
            <Picture
              label={preset.name}
              hint="Kept by you"
              lane={preset.lane}
              isGauge={quantity === 'plain'}
              isChosen={false}
              onChoose={() => {
                setTried(undefined);
                put(preset.lane);
              }}
            />
            <IconButton
              size="small"
              aria-label={`Forget ${preset.name}`}
              onClick={() => forget(preset.name)}
              sx={{ position: 'absolute', top: 0, right: 0, p: 0.5 }}
            >
              <DeleteOutlineRounded sx={{ fontSize: 14 }} />
            </IconButton>
          </Box>
        ))}
      </Box>
      {quantity !== 'plain' && own.length === 0 && (
        <Typography variant="body2" color="text.secondary">
          Lanes that you keep are offered here, for all runs.
        </Typography>
      )}
      {tried && (
        <Box sx={{ mt: 2 }}>
          <KindFields kind={profileOf(tried)} values={tried} onChange={lay} />
        </Box>
      )}
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          if (lane && name.trim() !== '') keep({ name: name.trim(), quantity, lane: inShares(lane, reach)! });
          setName('');
        }}
        sx={{ display: 'flex', gap: 2, mt: 3 }}
      >
        <InputBase
          value={name}
          onChange={(event) => setName(event.target.value)}
          placeholder="Name to keep this lane by"
          inputProps={{ 'aria-label': 'Name to keep this lane by', maxLength: 40 }}
          sx={{
            flex: 1,
            height: 30,
            px: 2,
            border: '1px solid',
            borderColor: 'divider',
            borderRadius: 1,
            fontSize: 13,
          }}
        />
        <Button type="submit" variant="outlined" color="secondary" disabled={!lane || name.trim() === ''}>
          Keep
        </Button>
      </Box>
    </Popover>
  );
}

/** A lane counted in shares of the reach. */
const inShares = (lane: LaneSpec | undefined, reach: Reach): LaneSpec | undefined =>
  lane && {
    ...lane,
    along: 'reach',
    keys: lane.keys.map(({ station, value }) => ({ station: Math.min(toPlace({ along: 'reach' }, toStation(lane, station, reach), reach), 1), value })), // prettier-ignore
  };

interface PictureProps {
  readonly label: string;
  readonly hint: string;
  readonly lane: LaneSpec;
  readonly isGauge: boolean;
  readonly isChosen: boolean;
  readonly onChoose: () => void;
}

const Picture = ({ label, hint, lane, isGauge, isChosen, onChoose }: PictureProps) => (
  <ButtonBase
    title={hint}
    aria-pressed={isChosen}
    onClick={onChoose}
    sx={{
      ...{ width: '100%', display: 'grid', justifyItems: 'center', gap: 1, py: 1.5, borderRadius: 1, fontSize: 12 },
      ...{ border: '1px solid', borderColor: isChosen ? 'primary.main' : 'divider', overflow: 'hidden' },
    }}
  >
    <LanePicture lane={lane} isGauge={isGauge} />
    <Box component="span" sx={{ maxWidth: 84, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
      {label}
    </Box>
  </ButtonBase>
);
