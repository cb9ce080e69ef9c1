'use client';

import ExpandMoreRounded from '@mui/icons-material/ExpandMoreRounded';
import { Box, ButtonBase } from '@mui/material';
import { useState } from 'react';
import { putInFolder, renameFolder, showFolder, type FolderedList } from '../../project/commands/folders';
import { useEdit } from '../state/app-context';
import { NameField } from './NameField';
import { RowMenu, type MenuPlace } from './RowMenu';
import { ShowButton } from './ShowButton';

export interface FolderHeadProps {
  readonly list: FolderedList;
  readonly folder: string;
  readonly items: readonly { readonly id: string; readonly visible: boolean }[];
  readonly isOpen: boolean;
  readonly onToggle: () => void;
}

/** The row of a folder: opens and closes it, hides all that lies in it. */
export function FolderHead({ list, folder, items, isOpen, onToggle }: FolderHeadProps) {
  const edit = useEdit();
  const [place, setPlace] = useState<MenuPlace>();
  const [isRenamed, setRenamed] = useState(false);
  const isShown = items.some(({ visible }) => visible);
  const show = () => edit((project) => showFolder(project, list, folder, !isShown));
  const ids = items.map(({ id }) => id);
  return (
    <Box
      onContextMenu={(event) => {
        event.preventDefault();
        setPlace({ x: event.clientX, y: event.clientY });
      }}
      sx={{
        ...{ position: 'relative', display: 'flex', alignItems: 'center', height: 28 },
        '& .buttons': { position: 'absolute', right: 6, opacity: isShown ? 0 : 1 },
        '&:hover .buttons, & .buttons:focus-within': { opacity: 1 },
        '&:hover .figure, &:has(.buttons:focus-within) .figure': { visibility: 'hidden' },
      }}
    >
      <ButtonBase
        component={isRenamed ? 'div' : 'button'}
        aria-expanded={isOpen}
        onClick={onToggle}
        sx={{
          flex: 1,
          minWidth: 0,
          height: '100%',
          pl: 2.5,
          gap: 1,
          justifyContent: 'flex-start',
          color: 'text.secondary',
        }}
      >
        <ExpandMoreRounded sx={{ fontSize: 16, transform: isOpen ? 'none' : 'rotate(-90deg)' }} />
        <NameField
          name={folder}
          label="Name of the folder"
          isFaint={!isShown}
          isRenamed={isRenamed}
          onRename={setRenamed}
          onName={(next) =>
            next.trim() && edit((project) => renameFolder(project, list, folder, next.trim().slice(0, 200)))
          }
        />
        <Box component="span" className="figure" sx={{ mr: 4, visibility: isShown ? 'visible' : 'hidden' }}>
          {items.length}
        </Box>
      </ButtonBase>
      <Box className="buttons">
        <ShowButton name={folder} isShown={isShown} onClick={show} />
      </Box>
      {place && (
        <RowMenu
          place={place}
          onClose={() => setPlace(undefined)}
          items={[
            { label: 'Rename', act: () => setRenamed(true) },
            { label: isShown ? 'Hide all' : 'Show all', act: show },
            { label: 'Take all out of it', act: () => edit((project) => putInFolder(project, list, ids, undefined)) },
          ]}
        />
      )}
    </Box>
  );
}
