'use client';

import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import DeleteOutlineRounded from '@mui/icons-material/DeleteOutlineRounded';
import VisibilityOffOutlined from '@mui/icons-material/VisibilityOffOutlined';
import VisibilityOutlined from '@mui/icons-material/VisibilityOutlined';
import { Box, ButtonBase, IconButton } from '@mui/material';
import { useState, type MouseEvent } from 'react';
import type { Run } from '../../project/schema';
import { metres } from '../format';
import { useApp, useRunResult } from '../state/app-context';
import { RunMenu } from './RunMenu';
import { NameField } from './NameField';
import { Swatch } from './Swatch';
import type { RunActions } from './use-run-actions';

export interface RunRowProps {
  readonly run: Run;
  readonly isSelected: boolean;
  /** Chosen beside the selected one. */
  readonly isMore: boolean;
  readonly isRenamed: boolean;
  readonly onRename: (isRenamed: boolean) => void;
  readonly actions: RunActions;
}

/** A run of the list: chosen by a click, renamed by a double click on its name, moved by dragging, and with a menu of its own. */
export function RunRow({ run, isSelected, isMore, isRenamed, onRename, actions }: RunRowProps) {
  const result = useRunResult(run.id);
  const layout = result?.courses[0].layout;
  const { session } = useApp();
  const [menu, setMenu] = useState<{ x: number; y: number }>();
  const { setNodeRef, listeners, transform, transition, isDragging } = useSortable({ id: run.id, disabled: isRenamed });
  const isOn = isSelected || isMore;
  return (
    <Box
      ref={setNodeRef}
      onContextMenu={(event) => {
        event.preventDefault();
        setMenu({ x: event.clientX, y: event.clientY });
      }}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      sx={{
        position: 'relative',
        zIndex: isDragging ? 1 : 'auto',
        display: 'flex',
        alignItems: 'center',
        height: 32,
        bgcolor: (t) => (isOn ? t.vars!.palette.tokens.leafWash : t.vars!.palette.background.paper),
        boxShadow: isSelected ? 'inset 3px 0 0 var(--mui-palette-primary-main)' : 'none',
        '& .actions': { position: 'absolute', right: 6, display: 'flex', opacity: run.visible ? 0 : 1 },
        '&:hover .actions, & .actions:focus-within': { opacity: 1 },
        '&:hover .length, &:focus-within .length': { visibility: 'hidden' },
      }}
    >
      <ButtonBase
        component={isRenamed ? 'div' : 'button'}
        aria-current={isSelected}
        data-run={run.id}
        {...listeners}
        onClick={(event: MouseEvent) => actions.choose(run.id, event.ctrlKey || event.metaKey)}
        onDoubleClick={() => session.getState().frame('run')}
        sx={{
          flex: 1,
          minWidth: 0,
          height: '100%',
          pl: 4,
          gap: 2.5,
          justifyContent: 'flex-start',
          fontWeight: isSelected ? 650 : 400,
        }}
      >
        <Swatch course={result?.courses[0]} />
        <NameField
          name={run.name}
          label="Name of the run"
          isFaint={!run.visible}
          isRenamed={isRenamed}
          onRename={onRename}
          onName={(name) => actions.rename(run.id, name)}
        />
        <Box
          component="span"
          className="length"
          sx={{
            color: isOn ? 'text.primary' : 'text.secondary',
            fontWeight: 400,
            mr: 4,
            visibility: run.visible ? 'visible' : 'hidden',
          }}
        >
          {layout ? metres(layout.reach.to - layout.reach.from) : ''}
        </Box>
      </ButtonBase>
      <Box className="actions">
        <IconButton
          size="small"
          aria-label={run.visible ? `Hide ${run.name}` : `Show ${run.name}`}
          onClick={() => actions.show(run)}
          sx={{ width: 26, height: 26 }}
        >
          {run.visible ? <VisibilityOutlined sx={{ fontSize: 16 }} /> : <VisibilityOffOutlined sx={{ fontSize: 16 }} />}
        </IconButton>
        <IconButton
          size="small"
          aria-label={`Delete ${run.name}`}
          onClick={() => actions.remove(run.id)}
          sx={{ width: 26, height: 26 }}
        >
          <DeleteOutlineRounded sx={{ fontSize: 16 }} />
        </IconButton>
      </Box>
      {menu && (
        <RunMenu
          run={run}
          at={menu}
          actions={actions}
          onRename={() => onRename(true)}
          onClose={() => setMenu(undefined)}
        />
      )}
    </Box>
  );
}
