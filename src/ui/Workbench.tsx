'use client';

import '../project/jitless';
import { CssBaseline, ThemeProvider, Box, CircularProgress } from '@mui/material';
import { SnackbarProvider } from 'notistack';
import { NOTICES } from './notices';
import dynamic from 'next/dynamic';
import { ExportDialog } from './export/ExportDialog';
import { Header } from './header/Header';
import { SectionDialog } from './segment/SectionDialog';
import { ShelfDialog } from './shelf/ShelfDialog';
import { AppProvider, useSession } from './state/app-context';
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
  const dialog = useSession((s) => s.dialog);
  useAppKeys();
  usePlugNotice();
  return (
    <Box
      onDragStart={(event) => event.preventDefault()} // by the browser; what can be dragged here follows the pointer itself
      sx={{ height: '100dvh', display: 'grid', gridTemplateRows: '48px 1fr', userSelect: 'none' }}
    >
      <Header />
      <Panes ticket={<Ticket />} bentView={<BentView />} straightView={<StraightView />} />
      {dialog === 'export' && <ExportDialog />}
      {dialog === 'shelf' && <ShelfDialog />}
      {dialog === 'section' && <SectionDialog />}
      {dialog === 'prepare' && <PrepareDialog />}
      {dialog === 'bringPath' && <BringPathDialog />}
      {dialog === 'keys' && <KeysDialog />}
    </Box>
  );
}
