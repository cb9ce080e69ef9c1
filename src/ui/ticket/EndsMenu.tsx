'use client';

import ExpandMoreRounded from '@mui/icons-material/ExpandMoreRounded';
import { Box, Button, Popover, Typography } from '@mui/material';
import { useState } from 'react';
import type { EndManner, PathEnd } from '../../core/edit/end-leg';
import { isEndKept } from '../../core/edit/end-leg';
import { extendOn, makeEndStraight } from '../../project/commands/paths';
import { mouthsBeside, plugEnd, releaseEnd } from '../../project/commands/plugs';
import type { Path, Project } from '../../project/schema';
import { ChoiceField } from '../fields/ChoiceField';
import { NumberField } from '../fields/NumberField';
import { useApp, useNotify, useProject } from '../state/app-context';

/** Said when a path of few numbers had to become one of points. */
export const HAS_HANDLES = 'The path has points with handles now, so that its end can be shaped.';

const MANNERS: readonly { value: EndManner; label: string; hint: string }[] = [
  { value: 'ahead', label: 'Straight', hint: 'as it runs there' },
  { value: 'level', label: 'Level', hint: 'straight, and neither up nor down' },
  { value: 'plumb', label: 'Plumb', hint: 'straight up or down' },
];

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
          <Ends path={path} initial={length / 10} />
        </Popover>
      )}
    </>
  );
}

function Ends({ path, initial }: { path: Path; initial: number }) {
  const notify = useNotify();
  const { document } = useApp();
  const project = useProject((s) => s.project);
  const [end, setEnd] = useState<PathEnd>('end');
  const [over, setOver] = useState(Number(initial.toPrecision(2)) || 1);
  const put = (changed: Project | undefined, otherwise: string) => {
    if (changed) {
      document.getState().edit(() => changed);
      const now = changed.paths.find(({ id }) => id === path.id);
      if (now && now.curve.kind !== path.curve.kind) notify(HAS_HANDLES);
    } else notify(otherwise, { kind: 'warning' });
  };
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
          <Button variant="outlined" color="secondary" onClick={() => put(releaseEnd(project, path.id, end), '')}>
            Let go
          </Button>
        </Box>
      )}
      <NumberField label="Over" quantity="length" step={0.1} min={0.001} max={1e5} value={over} onChange={setOver} />
      <Typography variant="caption" color="text.secondary">
        Make it
      </Typography>
      <Box sx={{ display: 'flex', gap: 1.5 }}>
        {MANNERS.map(({ value, label, hint }) => (
          <Button
            key={value}
            variant="outlined"
            color="secondary"
            title={hint}
            onClick={() =>
              put(
                makeEndStraight(project, path.id, end, value, over),
                'The path is too short for a straight end of that length. Take a shorter one.',
              )
            }
          >
            {label}
          </Button>
        ))}
      </Box>
      <Button
        variant="outlined"
        color="secondary"
        onClick={() => put(extendOn(project, path.id, end, over), 'The path needs two points before it can go on.')}
      >
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
            onClick={() =>
              put(plugEnd(project, path.id, end, mouth), 'The path needs two points before it can be plugged in.')
            }
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
