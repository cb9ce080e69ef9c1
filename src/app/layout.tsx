import '@fontsource-variable/bricolage-grotesque';
import '@fontsource-variable/figtree';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import type { Metadata } from 'next';
import type { ReactNode } from 'react';

export const metadata: Metadata = {
  title: 'Rattan',
  description: 'Lays segments along a path and bends them: roads, ropes, rails, hoses and cords.',
};

export default function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en" suppressHydrationWarning>
      <body>
        <InitColorSchemeScript attribute="data" defaultMode="light" />
        <AppRouterCacheProvider options={{ enableCssLayer: false }}>{children}</AppRouterCacheProvider>
      </body>
    </html>
  );
}
