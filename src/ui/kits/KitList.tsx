'use client';

import { useDraggable } from '@dnd-kit/core';
import FileOpenOutlined from '@mui/icons-material/FileOpenOutlined';
import MoreHorizRounded from '@mui/icons-material/MoreHorizRounded';
import { Box, IconButton, Tooltip, Typography } from '@mui/material';
import { memo, useRef, useState } from 'react';
import { runsOfKit, type Kit } from '../../project/commands/kits';
import { SmallPicture } from '../pictures/SmallPicture';
import { useKits, useProject, useRun } from '../state/app-context';
import { NameField } from '../ticket/NameField';
import { RowMenu, type MenuPlace, type RowMenuItem } from '../ticket/RowMenu';
import { useKitActions, type KitActions } from './use-kit-actions';

/** Pixels of a kit's picture. */
const [WIDE, HIGH] = [60, 40];

/** The kits on the shelf, to be dragged onto a path. */
export const KitList = memo(function KitList() {
  const kits = useKits((s) => s.kits);
  const actions = useKitActions();
  const input = useRef<HTMLInputElement>(null);
  return (
    <Box component="nav" aria-label="Kits" sx={{ py: 2, borderTop: '1px solid', borderColor: 'divider' }}>
      <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', pl: 4, pr: 2 }}>
        <Typography variant="caption" color="text.secondary">
          Kits
        </Typography>
        <Tooltip title="Bring kits from a file">
          <IconButton aria-label="Bring kits" size="small" onClick={() => input.current?.click()}>
            <FileOpenOutlined sx={{ fontSize: 16 }} />
          </IconButton>
        </Tooltip>
        <input
          ref={input}
          type="file"
          hidden
          aria-label="Open a kit’s file"
          accept=".json,application/json"
          onChange={({ target }) => {
            const file = target.files?.[0];
            if (file) actions.bring(file);
            target.value = '';
          }}
        />
      </Box>
      {kits.length === 0 ? (
        <Typography variant="body2" color="text.secondary" sx={{ px: 4 }}>
          None yet. A right click on a run keeps it as a kit: all of it but its path.
        </Typography>
      ) : (
        kits.map((kit) => <KitRow key={kit.id} kit={kit} actions={actions} />)
      )}
    </Box>
  );
});

function KitRow({ kit, actions }: { kit: Kit; actions: KitActions }) {
  const [place, setPlace] = useState<MenuPlace>();
  const [isRenamed, setRenamed] = useState(false);
  const project = useProject((s) => s.project);
  const run = useRun();
  const { setNodeRef, listeners, isDragging } = useDraggable({
    id: `kit ${kit.id}`,
    data: { kit },
    disabled: isRenamed,
  });
  const { name } = kit.project;
  const following = runsOfKit(project, kit.id);
  const older = following.filter((own) => own.kit!.at < kit.changedAt);
  const menu: readonly RowMenuItem[] = [
    { label: run ? `Lay along the path of ${run.name.slice(0, 40)}` : 'Lay along a path', isOff: !run, act: () => actions.lay(kit, run!.path, true) }, // prettier-ignore
    { label: 'Lay a copy there, on its own', isOff: !run, act: () => actions.lay(kit, run!.path, false) },
    { label: 'Lay along a new path', act: () => actions.layOnNewPath(kit) },
    'line',
    { label: older.length > 0 ? `Renew ${older.length} older here` : 'All that follow it are as it is', isOff: older.length === 0, act: () => actions.renew(kit) }, // prettier-ignore
    { label: 'Rename', act: () => setRenamed(true) },
    { label: 'Save as a file', act: () => actions.save(kit) },
    { label: 'Take off the shelf', act: () => actions.remove(kit) },
  ];
  return (
    <Box
      ref={setNodeRef}
      onContextMenu={(event) => {
        event.preventDefault();
        setPlace({ x: event.clientX, y: event.clientY });
      }}
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 2.5,
        height: HIGH + 8,
        pl: 4,
        pr: 1.5,
        opacity: isDragging ? 0.5 : 1,
      }}
    >
      <Tooltip title="Drag it onto a path" enterDelay={600}>
        <Box
          {...listeners}
          data-kit={name}
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 2.5,
            flex: 1,
            minWidth: 0,
            cursor: 'grab',
            touchAction: 'none',
          }}
        >
          <SmallPicture project={kit.project} name={`kit ${kit.id} ${kit.changedAt}`} width={WIDE} height={HIGH} />
          <Box sx={{ minWidth: 0, flex: 1 }}>
            <NameField
              name={name}
              label="Name of the kit"
              isFaint={false}
              isRenamed={isRenamed}
              onRename={setRenamed}
              onName={(next) => next.trim() && actions.rename(kit, next.trim().slice(0, 200))}
            />
            <Typography variant="caption" color="text.secondary" component="div" noWrap>
              {following.length === 0
                ? 'not laid here'
                : older.length > 0
                  ? `${older.length} of ${following.length} older`
                  : `${following.length} here`}
            </Typography>
          </Box>
        </Box>
      </Tooltip>
      <IconButton
        size="small"
        aria-label={`${name}: kit`}
        aria-haspopup="menu"
        onClick={({ currentTarget }) => {
          const { left, bottom } = currentTarget.getBoundingClientRect();
          setPlace({ x: left, y: bottom });
        }}
      >
        <MoreHorizRounded sx={{ fontSize: 18 }} />
      </IconButton>
      {place && <RowMenu items={menu} place={place} onClose={() => setPlace(undefined)} />}
    </Box>
  );
}
