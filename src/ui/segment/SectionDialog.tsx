'use client';

import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from '@mui/material';
import { useState } from 'react';
import type { CrossSection, SectionCorner } from '../../core/segment/cross-section';
import { profileSection } from '../../core/segment/makers/turned-profile';
import { deleteCorner } from '../../core/segment/edit-section';
import { maker } from '../../core/segment/registry';
import { setMaker } from '../../project/commands/segments';
import { problemWords } from '../../engine/problem-words';
import { SwitchField } from '../fields/SwitchField';
import { useEdit, useSet, useSegment } from '../state/app-context';
import { CornerFields } from './CornerFields';
import { SectionDrawing } from './SectionDrawing';
import { StripList } from './StripList';

/** Draws the selected segment's cross-section, or the profile that it is turned from; every change shows at once in the bent view behind. */
export function SectionDialog() {
  const set = useSet();
  const edit = useEdit();
  const segment = useSegment();
  const [corner, setCorner] = useState<number>();
  const spec = segment?.source.from === 'maker' ? segment.source.spec : undefined;
  if (!segment || (spec?.kind !== 'crossSection' && spec?.kind !== 'turnedProfile')) return null;
  const isTurned = spec.kind === 'turnedProfile';
  const section = isTurned ? profileSection(spec) : spec;
  const put = (next: Partial<CrossSection>) => {
    const { corners, strips, ...rest } = { ...section, ...next };
    const own = isTurned ? { ...spec, corners: corners.map(aboveAxis), strips } : { ...spec, ...rest, corners, strips };
    edit((project) => setMaker(project, segment.id, own));
  };
  const close = () => set({ dialog: undefined });
  const problem = maker(spec.kind).problem?.(spec);
  const chosen = corner !== undefined && corner < spec.corners.length ? corner : undefined;
  return (
    <Dialog
      open
      onClose={close}
      maxWidth={false}
      aria-labelledby="section-title"
      slotProps={{ paper: { sx: { width: 900 } } }}
    >
      <DialogTitle id="section-title" variant="h2">
        {isTurned ? 'Turned profile' : 'Cross-section'}
      </DialogTitle>
      <DialogContent sx={{ display: 'grid', gridTemplateColumns: '560px minmax(0, 1fr)', gap: 5, pb: 0 }}>
        <Box>
          <SectionDrawing spec={section} isTurned={isTurned} corner={chosen} onCorner={setCorner} onChange={put} />
          <Typography
            variant="caption"
            color={problem ? 'error' : 'text.secondary'}
            role={problem ? 'alert' : undefined}
          >
            {problem
              ? problemWords(problem)
              : `${isTurned ? 'The upper half of a cut along the path' : 'Seen along the path'}. Drag a corner, click an edge for a new one, arrow keys move the chosen one, Delete takes it away.`}
          </Typography>
        </Box>
        <Box sx={{ display: 'grid', alignContent: 'start', gap: 4 }}>
          {!isTurned && (
            <Box>
              <SwitchField
                label="Left half mirrors the right"
                value={spec.mirrored}
                onChange={(mirrored) => put({ mirrored })}
              />
              <SwitchField label="Closed" value={spec.closed} onChange={(closed) => put({ closed })} />
            </Box>
          )}
          <CornerFields
            spec={section}
            isTurned={isTurned}
            corner={chosen}
            onChange={put}
            onDelete={() => {
              if (chosen !== undefined) put(deleteCorner(section, chosen));
              setCorner(undefined);
            }}
          />
          <StripList spec={section} onChange={put} />
        </Box>
      </DialogContent>
      <DialogActions sx={{ px: 6, pb: 4 }}>
        <Button variant="contained" color="secondary" onClick={close}>
          Done
        </Button>
      </DialogActions>
    </Dialog>
  );
}

const aboveAxis = (corner: SectionCorner): SectionCorner => ({ ...corner, y: Math.max(corner.y, 0) });
