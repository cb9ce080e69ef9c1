'use client';

import {
  Box,
  Button,
  Dialog,
  DialogActions,
  DialogTitle,
  LinearProgress,
  Tab,
  Tabs,
  ToggleButton,
  Typography,
} from '@mui/material';
import { useRef, useState } from 'react';
import { setPrepare } from '../../project/commands/segments';
import type { Vec3 } from '../../core/math/vec3';
import { mergeZones, type StiffZone } from '../../core/segment/stiff-zones';
import type { PrepareSpec } from '../../core/segment/segment-spec';
import { useEdit, useGesture, useSet, useSegment } from '../state/app-context';
import { CleanFields } from './CleanFields';
import { FinishFields } from './FinishFields';
import { PreparePreview } from './PreparePreview';
import { TurnFields } from './TurnFields';
import { useSegmentView } from './use-segment-view';
import { ZoneFields } from './ZoneFields';

const TABS = { turn: 'Orientation and size', clean: 'Clean', zones: 'Stiff and ends', colour: 'Colour' } as const;
const FIELDS = { turn: TurnFields, clean: CleanFields, zones: ZoneFields, colour: FinishFields } as const;

/** Prepares the selected run's segment: seen straight, with what will be its forward, up and middle. */
export function PrepareDialog() {
  const set = useSet();
  const edit = useEdit();
  const gesture = useGesture();
  const segment = useSegment();
  const [tab, setTab] = useState<keyof typeof TABS>('turn');
  const painted = useRef<StiffZone>(undefined);
  const [isPicking, setPicking] = useState(false);
  const { view, problem, isBusy, share, stop } = useSegmentView(segment);
  if (!segment) return null;
  const { prepare } = segment;
  const change = (next: Partial<PrepareSpec>) => edit((project) => setPrepare(project, segment.id, next));
  const close = () => set({ dialog: undefined });
  const Fields = FIELDS[tab];
  const pick = ([, y, z]: Vec3) => {
    change({ offsetUp: prepare.offsetUp - y, offsetSide: prepare.offsetSide - z });
    setPicking(false);
  };
  const paint = ({ from, to }: StiffZone) => {
    // The pointer skips faces when it is quick: all between the first and the last one belongs to a drag's zone.
    const before = painted.current ?? { from, to };
    painted.current = { from: Math.min(before.from, from), to: Math.max(before.to, to) };
    const stiff = mergeZones([...prepare.stiff, painted.current]);
    if (JSON.stringify(stiff) !== JSON.stringify(prepare.stiff)) change({ stiff });
  };
  const picksZones = tab === 'zones';
  const pickLabel = picksZones
    ? ['Pick faces that stay stiff', 'Click faces or drag over them']
    : ['Pick the point the path passes through', 'Click the point the path passes through'];
  return (
    <Dialog
      open
      onClose={close}
      maxWidth={false}
      aria-labelledby="prepare-title"
      slotProps={{
        paper: { sx: { width: 1120, height: 720, display: 'grid', gridTemplateRows: 'auto minmax(0, 1fr) auto' } },
      }}
    >
      <DialogTitle id="prepare-title" variant="h2" noWrap>
        Prepare {segment.name}
      </DialogTitle>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 360px', minHeight: 0, px: 6, gap: 5 }}>
        <Box
          component="section"
          aria-label="The segment, straight"
          aria-busy={isBusy}
          onPointerDownCapture={() => {
            if (!isPicking || !picksZones) return;
            painted.current = undefined;
            gesture.begin(); // all that one drag paints is one step to undo
            window.addEventListener('pointerup', gesture.end, { once: true });
          }}
          sx={{
            position: 'relative',
            borderRadius: 1,
            overflow: 'hidden',
            border: '1px solid',
            borderColor: 'divider',
            bgcolor: 'background.default',
          }}
        >
          {view && (
            <PreparePreview
              view={view}
              prepare={prepare}
              onPick={isPicking && !picksZones ? pick : undefined}
              onPaint={isPicking && picksZones ? paint : undefined}
            />
          )}
          {isBusy && <PreparingNote share={share} onStop={stop} />}
          <ToggleButton
            value="pick"
            selected={isPicking}
            onChange={() => setPicking(!isPicking)}
            sx={{ position: 'absolute', top: 10, left: 10, height: 30, bgcolor: 'background.paper' }}
          >
            {pickLabel[isPicking ? 1 : 0]}
          </ToggleButton>
          {problem && (
            <Typography
              role="alert"
              color="error"
              sx={{
                position: 'absolute',
                left: 10,
                right: 10,
                bottom: 10,
                p: 2,
                bgcolor: 'background.paper',
                borderRadius: 1,
              }}
            >
              {problem}
            </Typography>
          )}
        </Box>
        <Box sx={{ display: 'grid', gridTemplateRows: 'auto minmax(0, 1fr)', minHeight: 0 }}>
          <Tabs
            value={tab}
            onChange={(_, next: keyof typeof TABS) => {
              setTab(next);
              setPicking(false);
            }}
            aria-label="What to prepare"
            sx={{ minHeight: 36, mb: 2 }}
          >
            {Object.entries(TABS).map(([value, label]) => (
              <Tab
                key={value}
                value={value}
                label={label}
                id={`prepare-${value}`}
                sx={{ minHeight: 36, minWidth: 0, px: 2, textTransform: 'none' }}
              />
            ))}
          </Tabs>
          <Box role="tabpanel" aria-labelledby={`prepare-${tab}`} sx={{ overflowY: 'auto', pr: 1 }}>
            <Fields
              segment={segment}
              prepare={prepare}
              view={view}
              isBrought={segment.source.from === 'asset' || isScan(segment.source.spec)}
              onChange={change}
            />
          </Box>
        </Box>
      </Box>
      <DialogActions sx={{ px: 6, pb: 4 }}>
        <Button variant="contained" color="secondary" onClick={close}>
          Done
        </Button>
      </DialogActions>
    </Dialog>
  );
}

function PreparingNote({ share, onStop }: { share: number; onStop: () => void }) {
  return (
    <>
      <LinearProgress
        aria-label="Preparing"
        {...(share > 0 && { variant: 'determinate' as const, value: share * 100 })}
        sx={{ position: 'absolute', top: 0, left: 0, right: 0 }}
      />
      {share > 0 && (
        <Button
          size="small"
          variant="outlined"
          color="secondary"
          onClick={onStop}
          sx={{ position: 'absolute', top: 10, right: 10, bgcolor: 'background.paper' }}
        >
          Stop preparing
        </Button>
      )}
    </>
  );
}

/** Made to need preparing. */
const isScan = (spec: unknown): boolean => (spec as { kind?: string }).kind === 'scannedLog';
