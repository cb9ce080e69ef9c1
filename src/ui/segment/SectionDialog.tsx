'use client';

import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from '@mui/material';
import { useState } from 'react';
import { deleteCorner } from '../../core/segment/edit-section';
import { maker, type MakerSpec } from '../../core/segment/registry';
import { setMaker } from '../../project/commands/segments';
import { problemWords } from '../../engine/problem-words';
import { SwitchField } from '../fields/SwitchField';
import { useEdit, useProject, useRun, useSet } from '../state/app-context';
import { CornerFields } from './CornerFields';
import { SectionDrawing } from './SectionDrawing';
import { StripList } from './StripList';

export type SectionSpec = Extract<MakerSpec, { kind: 'crossSection' }>;

/** Draws the selected segment's cross-section; every change shows at once in the bent view behind. */
export function SectionDialog() {
  const set = useSet();
  const edit = useEdit();
  const run = useRun();
  const segment = useProject((s) => s.project.segments.find(({ id }) => id === run?.segment));
  const [corner, setCorner] = useState<number>();
  const spec = segment?.source.from === 'maker' ? (segment.source.spec as MakerSpec) : undefined;
  if (!segment || spec?.kind !== 'crossSection') return null;
  const put = (next: Partial<SectionSpec>) =>
    edit((project) => setMaker(project, segment.id, { ...spec, ...next } as MakerSpec));
  const close = () => set({ dialog: undefined });
  const problem = maker('crossSection').problem?.(spec);
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
        Cross-section
      </DialogTitle>
      <DialogContent sx={{ display: 'grid', gridTemplateColumns: '560px minmax(0, 1fr)', gap: 5, pb: 0 }}>
        <Box>
          <SectionDrawing spec={spec} corner={chosen} onCorner={setCorner} onChange={put} />
          <Typography
            variant="caption"
            color={problem ? 'error' : 'text.secondary'}
            role={problem ? 'alert' : undefined}
          >
            {problem
              ? problemWords(problem)
              : 'Seen along the path. Drag a corner, click an edge for a new one, arrow keys move the chosen one, Delete takes it away.'}
          </Typography>
        </Box>
        <Box sx={{ display: 'grid', alignContent: 'start', gap: 4 }}>
          <Box>
            <SwitchField
              label="Left half mirrors the right"
              value={spec.mirrored}
              onChange={(mirrored) => put({ mirrored })}
            />
            <SwitchField label="Closed" value={spec.closed} onChange={(closed) => put({ closed })} />
          </Box>
          <CornerFields
            spec={spec}
            corner={chosen}
            onChange={put}
            onDelete={() => {
              if (chosen !== undefined) put(deleteCorner(spec, chosen));
              setCorner(undefined);
            }}
          />
          <StripList spec={spec} onChange={put} />
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
