'use client';

import '../project/jitless';
import { CssBaseline, ThemeProvider, Box, CircularProgress } from '@mui/material';
import { enqueueSnackbar, SnackbarProvider } from 'notistack';
import { ErrorBoundary } from 'react-error-boundary';
import { NOTICES } from './notices';
import dynamic from 'next/dynamic';
import { ExportDialog } from './export/ExportDialog';
import { Guarded, reasonOf } from './Guarded';
import { Header } from './header/Header';
import { SectionDialog } from './segment/SectionDialog';
import { ShelfDialog } from './shelf/ShelfDialog';
import { AppProvider, useSession, useSet } from './state/app-context';
import { KeysDialog } from './keys/KeysDialog';
import { BringPathDialog } from './paths/BringPathDialog';
import { Panes } from './Panes';
import { StraightView } from './straightview/StraightView';
import { theme } from './theme';
import { Ticket } from './ticket/Ticket';
import { usePlugNotice } from './state/use-plug-notice';
import { useAppKeys } from './use-app-keys';

const PrepareDialog = dynamic(() => import('./segment/PrepareDialog').then((m) => m.PrepareDialog), { ssr: false });
const BentView = dynamic(() => import('./bentview/BentView').then((m) => m.BentView), { ssr: false });

/** The one screen. */
export function Workbench() {
  return (
    <ThemeProvider theme={theme} defaultMode="light">
      <CssBaseline />
      <SnackbarProvider
        maxSnack={3}
        autoHideDuration={6000}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}
        Components={NOTICES}
      >
        <AppProvider fallback={<Starting />}>
          <Screen />
        </AppProvider>
      </SnackbarProvider>
    </ThemeProvider>
  );
}

function Starting() {
  return (
    <Box sx={{ height: '100dvh', display: 'grid', placeItems: 'center' }}>
      <CircularProgress aria-label="Opening the last project" color="primary" size={28} />
    </Box>
  );
}

function Screen() {
  useAppKeys();
  usePlugNotice();
  return (
    <Box
      onDragStart={(event) => event.preventDefault()} // by the browser; what can be dragged here follows the pointer itself
      sx={{ height: '100dvh', display: 'grid', gridTemplateRows: '48px 1fr', userSelect: 'none' }}
    >
      <Header />
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
      <Dialogs />
    </Box>
  );
}

const DIALOGS = {
  export: ExportDialog,
  shelf: ShelfDialog,
  section: SectionDialog,
  prepare: PrepareDialog,
  bringPath: BringPathDialog,
  keys: KeysDialog,
};

/** The dialog that is open; one that fails is closed and told, and the page goes on. */
function Dialogs() {
  const dialog = useSession((s) => s.dialog);
  const set = useSet();
  if (!dialog) return null;
  const Open = DIALOGS[dialog];
  return (
    <ErrorBoundary
      key={dialog}
      fallback={null}
      onError={(error) => {
        set({ dialog: undefined });
        enqueueSnackbar(`This could not be opened: ${reasonOf(error)}`, { variant: 'error' });
      }}
    >
      <Open />
    </ErrorBoundary>
  );
}
