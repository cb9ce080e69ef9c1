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
import { TOOL_WORDS, TOOLS } from './tools';

const FRAMINGS = [
  { what: 'all', label: 'Frame the whole scene', keyName: 'W', Icon: CenterFocusStrongOutlined },
  { what: 'chosen', label: 'Frame this run, or the chosen guide', keyName: 'T', Icon: CropFreeOutlined },
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
        {TOOLS.map((value) => (
          <Tooltip key={value} describeChild title={TOOL_WORDS[value].hint}>
            <ToggleButton value={value}>{TOOL_WORDS[value].label}</ToggleButton>
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
