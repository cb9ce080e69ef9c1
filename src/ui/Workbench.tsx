'use client';

import '../project/jitless';
import { Box, CircularProgress, CssBaseline, ThemeProvider } from '@mui/material';
import dynamic from 'next/dynamic';
import { AppProvider } from './state/app-context';
import { theme } from './theme';

/** Loaded while the last project is opened. */
const load = () => import('./Screen').then((m) => m.Screen);
const Screen = dynamic(load, { ssr: false, loading: Starting });
if (typeof window !== 'undefined') void load();

/** The page: what is there before a project is open, and then the one screen. */
export function Workbench() {
  return (
    <ThemeProvider theme={theme} defaultMode="light">
      <CssBaseline />
      <AppProvider fallback={<Starting />}>
        <Screen />
      </AppProvider>
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
