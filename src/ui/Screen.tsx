'use client';

import { Box } from '@mui/material';
import dynamic from 'next/dynamic';
import { ErrorBoundary } from 'react-error-boundary';
import { Guarded, reasonOf } from './Guarded';
import { Header } from './header/Header';
import { KitDrag } from './kits/KitDrag';
import { Notices } from './Notices';
import { Panes } from './Panes';
import { useNotify, useSession, useSet } from './state/app-context';
import { useKeptPictures } from './shelf/use-shelf-picture';
import { useCrossings } from './state/use-crossings';
import { usePlugNotice } from './state/use-plug-notice';
import { StraightView } from './straightview/StraightView';
import { Ticket } from './ticket/Ticket';
import { useAppKeys } from './use-app-keys';

const BentView = dynamic(() => import('./bentview/BentView').then((m) => m.BentView), { ssr: false });

/** The one screen, when a project is open. */
export function Screen() {
  useAppKeys();
  usePlugNotice();
  useCrossings();
  useKeptPictures();
  return (
    <Box
      onDragStart={(event) => event.preventDefault()} // by the browser; what can be dragged here follows the pointer itself
      sx={{ height: '100dvh', display: 'grid', gridTemplateRows: '48px 1fr', userSelect: 'none' }}
    >
      <Header />
      <KitDrag>
        <Panes
          ticket={
            <Guarded name="The ticket">
              <Ticket />
            </Guarded>
          }
          bentView={
            <Guarded name="The bent view">
              <BentView />
            </Guarded>
          }
          straightView={
            <Guarded name="The straight view">
              <StraightView />
            </Guarded>
          }
        />
      </KitDrag>
      <Dialogs />
      <Notices />
    </Box>
  );
}

/** Loaded when they are first opened. */
const DIALOGS = {
  export: dynamic(() => import('./export/ExportDialog').then((m) => m.ExportDialog), { ssr: false }),
  shelf: dynamic(() => import('./shelf/ShelfDialog').then((m) => m.ShelfDialog), { ssr: false }),
  section: dynamic(() => import('./segment/SectionDialog').then((m) => m.SectionDialog), { ssr: false }),
  prepare: dynamic(() => import('./segment/PrepareDialog').then((m) => m.PrepareDialog), { ssr: false }),
  bringPath: dynamic(() => import('./paths/BringPathDialog').then((m) => m.BringPathDialog), { ssr: false }),
  pieces: dynamic(() => import('./pieces/PiecesDialog').then((m) => m.PiecesDialog), { ssr: false }),
  commands: dynamic(() => import('./commands/CommandsDialog').then((m) => m.CommandsDialog), { ssr: false }),
  keys: dynamic(() => import('./keys/KeysDialog').then((m) => m.KeysDialog), { ssr: false }),
};

/** The dialog that is open; one that fails is closed and told, and the page goes on. */
function Dialogs() {
  const dialog = useSession((s) => s.dialog);
  const set = useSet();
  const notify = useNotify();
  if (!dialog) return null;
  const Open = DIALOGS[dialog];
  return (
    <ErrorBoundary
      key={dialog}
      fallback={null}
      onError={(error) => {
        set({ dialog: undefined });
        notify(`This could not be opened: ${reasonOf(error)}`, { kind: 'error' });
      }}
    >
      <Open />
    </ErrorBoundary>
  );
}
