'use client';

import CenterFocusStrongOutlined from '@mui/icons-material/CenterFocusStrongOutlined';
import CropFreeOutlined from '@mui/icons-material/CropFreeOutlined';
import VisibilityOutlined from '@mui/icons-material/VisibilityOutlined';
import { Box, IconButton, ToggleButton, ToggleButtonGroup, Tooltip } from '@mui/material';
import { memo } from 'react';
import { LookMenu } from '../place/LookMenu';
import { PictureMenu } from '../place/PictureMenu';
import { SnapButton } from './SnapButton';
import { useApp, useSession, useSet } from '../state/app-context';
import type { ToolName } from '../state/session-store';

const TOOLS: readonly { value: ToolName; label: string; hint: string }[] = [
  {
    value: 'shape',
    label: 'Shape path',
    hint: 'Drag points along the ground, with Shift up and down. Click on the path for a new point. While you drag, Space steps through what holds the point, and a number says how far.',
  },
  { value: 'choose', label: 'Select by box', hint: 'Draw a box round points to choose several; Ctrl adds.' },
  { value: 'pen', label: 'Pen', hint: 'Click in the view for one point after another. Enter ends.' },
  { value: 'freehand', label: 'Freehand', hint: 'Draw the path in one stroke, on the ground or over a guide.' },
  {
    value: 'ring',
    label: 'Ring',
    hint: 'Click on the path for a ring there: turn it to roll the run, pull its two grips to swell it.',
  },
  { value: 'ruler', label: 'Ruler', hint: 'Click on two places to measure between them.' },
];

const FRAMINGS = [
  { what: 'all', label: 'Frame the whole scene', keyName: 'Home', Icon: CenterFocusStrongOutlined },
  { what: 'chosen', label: 'Frame this run, or the chosen guide', keyName: 'End', Icon: CropFreeOutlined },
] as const;

/** What the pointer does, from where one looks, and framing. */
export const ViewToolbar = memo(function ViewToolbar() {
  const tool = useSession((s) => s.tool);
  const isResultOnly = useSession((s) => s.isResultOnly);
  const set = useSet();
  const { session } = useApp();
  const group = { bgcolor: 'background.paper', pointerEvents: 'auto' } as const;
  return (
    <Box sx={{ display: 'flex', gap: 3, alignItems: 'center', flexWrap: 'wrap' }}>
      <ToggleButtonGroup
        exclusive
        aria-label="Tool"
        value={tool}
        sx={group}
        onChange={(_, next: ToolName | null) => next && set({ tool: next })}
      >
        {TOOLS.map(({ value, label, hint }) => (
          <Tooltip key={value} describeChild title={hint}>
            <ToggleButton value={value}>{label}</ToggleButton>
          </Tooltip>
        ))}
      </ToggleButtonGroup>
      <LookMenu />
      <PictureMenu />
      {FRAMINGS.map(({ what, label, keyName, Icon }) => (
        <Tooltip key={what} title={`${label} (${keyName})`}>
          <IconButton
            aria-label={label}
            onClick={() => session.getState().frame(what)}
            sx={{ ...group, border: '1px solid', borderColor: 'divider', '&:hover': { bgcolor: 'background.paper' } }}
          >
            <Icon sx={{ fontSize: 18 }} />
          </IconButton>
        </Tooltip>
      ))}
      <Tooltip title="Only the result: no points, no line, no grid (R)">
        <IconButton
          aria-label="Only the result"
          aria-pressed={isResultOnly}
          onClick={() => set({ isResultOnly: !isResultOnly })}
          sx={{
            ...group,
            border: '1px solid',
            borderColor: isResultOnly ? 'primary.main' : 'divider',
            '&:hover': { bgcolor: 'background.paper' },
          }}
        >
          <VisibilityOutlined sx={{ fontSize: 18 }} />
        </IconButton>
      </Tooltip>
      <SnapButton />
    </Box>
  );
});
