'use client';

import { Box, Button } from '@mui/material';
import type { ReactNode } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Note } from './findings/Note';

/** A part of the page that may fail without the others: says what is missing, and what still works. */
export function Guarded({ name, children }: { name: string; children: ReactNode }) {
  return (
    <ErrorBoundary
      fallbackRender={({ error, resetErrorBoundary }) => (
        <Box
          role="alert"
          sx={{
            height: '100%',
            minHeight: 120,
            display: 'grid',
            placeItems: 'center',
            p: 6,
            bgcolor: 'background.default',
          }}
        >
          <Box sx={{ maxWidth: 420, display: 'grid', gap: 2, justifyItems: 'start' }}>
            <Note title={`${name} cannot be shown`} text={reasonOf(error)}>
              <Button
                variant="outlined"
                color="secondary"
                sx={{ mt: 2 }}
                onClick={() => (isLoading(error) ? window.location.reload() : resetErrorBoundary())}
              >
                {isLoading(error) ? 'Load the page again' : 'Try again'}
              </Button>
            </Note>
          </Box>
        </Box>
      )}
    >
      {children}
    </ErrorBoundary>
  );
}

export const textOf = (error: unknown): string =>
  error instanceof Error ? `${error.name} ${error.message}` : String(error);

/** Whether a piece of the program did not come over the network. */
const isLoading = (error: unknown): boolean =>
  /chunk|dynamically imported|load failed|failed to fetch/i.test(textOf(error));

/** Whether the browser gives nothing to draw with. */
export const isOfGraphics = (error: unknown): boolean => /webgl|context/i.test(textOf(error));

/** What an error of the page means to people. */
export function reasonOf(error: unknown): string {
  if (isOfGraphics(error))
    return 'This browser gives no WebGL, by which it is drawn. Everything else works: the ticket, saving, downloads and export.';
  if (isLoading(error))
    return 'A piece of the program could not be loaded: there may be no connection. Nothing is lost.';
  return `Something in it went wrong (${error instanceof Error ? error.message : String(error)}). Everything else works, and nothing is lost.`;
}
