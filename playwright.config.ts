import { defineConfig } from '@playwright/test';

const PORT = 3210;

export default defineConfig({
  testDir: 'e2e',
  timeout: 180_000, // software rendering on a busy machine
  expect: { timeout: 20_000 },
  workers: 1,
  retries: 0,
  use: {
    baseURL: `http://localhost:${PORT}`,
    viewport: { width: 1280, height: 800 },
    contextOptions: { reducedMotion: 'reduce' }, // colours are what they are at once, not half way between two
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--enable-unsafe-swiftshader',
        '--use-gl=angle',
        '--use-angle=swiftshader',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
    trace: 'off',
  },
  webServer: {
    command: `node node_modules/next/dist/bin/next start -p ${PORT}`,
    url: `http://localhost:${PORT}/icon.svg`,
    reuseExistingServer: false,
    timeout: 60_000,
  },
});
