'use client';

import ExpandMoreRounded from '@mui/icons-material/ExpandMoreRounded';
import { Box, Button, Popover, Typography } from '@mui/material';
import { useState } from 'react';
import type { PathEnd } from '../../core/edit/end-leg';
import { isEndKept } from '../../core/edit/end-leg';
import { mouthsBeside } from '../../project/commands/plugs';
import type { Path, Project } from '../../project/schema';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';
import { useProject } from '../state/app-context';
import { END_MANNERS, endOver, useEndActions } from './use-end-actions';

/** What can be done to a path's ends: straight, level or plumb over a length, or plugged into a socket or another end. */
export function EndsMenu({ path, length }: { path: Path; length: number }) {
  const [anchor, setAnchor] = useState<HTMLElement>();
  return (
    <>
      <Button
        variant="outlined"
        color="secondary"
        aria-haspopup="dialog"
        endIcon={<ExpandMoreRounded />}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        Ends
      </Button>
      {anchor && (
        <Popover
          open
          anchorEl={anchor}
          onClose={() => setAnchor(undefined)}
          anchorOrigin={{ vertical: 'top', horizontal: 'right' }}
          slotProps={{ paper: { role: 'dialog', 'aria-label': 'Ends of the path', sx: { width: 320, p: 4 } } }}
        >
          <Ends path={path} initial={endOver(length)} />
        </Popover>
      )}
    </>
  );
}

function Ends({ path, initial }: { path: Path; initial: number }) {
  const { make, extend, plug, letGo } = useEndActions();
  const project = useProject((s) => s.project);
  const [end, setEnd] = useState<PathEnd>('end');
  const [over, setOver] = useState(initial);
  const mouths = mouthsBeside(project, path.id);
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <ChoiceField
        label="Which end"
        value={end}
        choices={[
          { value: 'start', label: 'the start' },
          { value: 'end', label: 'the end' },
        ]}
        onChange={setEnd}
      />
      {(path.plugs?.[end] ?? isEndKept(path.curve, end)) && (
        <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', gap: 2 }}>
          <Typography variant="body2">{plugWords(project, path, end)}</Typography>
          <Button variant="outlined" color="secondary" onClick={() => letGo(path, end)}>
            Let go
          </Button>
        </Box>
      )}
      <NumberField label="Over" quantity="length" step={0.1} min={0.001} max={1e5} value={over} onChange={setOver} />
      <Typography variant="caption" color="text.secondary">
        Make it
      </Typography>
      <Box sx={{ display: 'flex', gap: 1.5 }}>
        {END_MANNERS.map(({ value, label, hint }) => (
          <Button
            key={value}
            variant="outlined"
            color="secondary"
            title={hint}
            onClick={() => make(path, end, value, over)}
          >
            {label}
          </Button>
        ))}
      </Box>
      <Button variant="outlined" color="secondary" onClick={() => extend(path, end, over)}>
        Make the path longer by that, straight on
      </Button>
      <Typography variant="caption" color="text.secondary">
        Plug it into
      </Typography>
      {mouths.length === 0 && (
        <Typography variant="body2" color="text.secondary">
          There is no socket and no other end. Add a socket under Guides.
        </Typography>
      )}
      <Box sx={{ maxHeight: 180, overflowY: 'auto' }}>
        {mouths.map((mouth, i) => (
          <Button
            key={i}
            fullWidth
            size="small"
            variant="text"
            color="secondary"
            sx={{ justifyContent: 'flex-start', fontWeight: 400, minHeight: 28 }}
            onClick={() => plug(path, end, mouth)}
          >
            {mouth.name}
          </Button>
        ))}
      </Box>
    </Box>
  );
}

/** What is kept of an end. */
function plugWords({ guides, paths }: Project, path: Path, end: PathEnd): string {
  const plug = path.plugs?.[end];
  if (!plug) return 'Its leg stays straight.';
  const into = 'guide' in plug ? guides.find(({ id }) => id === plug.guide) : paths.find(({ id }) => id === plug.path);
  return `It stays plugged into ${into?.name ?? 'its place'}.`;
}
