import { existsSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

const port = process.env.E2E_PORT ?? '4173';
const browsers = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'];
const root = `${import.meta.dirname}/../..`;

export default defineConfig({
  testDir: './src',
  outputDir: './results',
  workers: 2,
  fullyParallel: true,
  // Generous, so that a busy machine fails nothing; what is there is found at once.
  timeout: 300_000,
  // Once more, on a page of its own; npm test says which needed it.
  retries: 1,
  expect: { timeout: 20_000 },
  reporter: process.env.E2E_REPORT
    ? [['list'], ['json', { outputFile: process.env.E2E_REPORT }]]
    : [['list']],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    browserName: 'chromium',
    trace: 'off',
    // What never comes is said where it was waited for.
    actionTimeout: 90_000,
    // What tests hold back or refuse must come from the page; one test lets the worker in.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env.CHROMIUM ?? browsers.find((path) => existsSync(path)) ?? '',
      args: ['--no-sandbox', '--disable-background-networking', '--disable-component-update'],
    },
  },
  webServer: {
    command: 'node --import tsx tools/e2e/serve.ts',
    cwd: root,
    url: `http://127.0.0.1:${port}/api/health`,
    env: { E2E_PORT: port },
    reuseExistingServer: false,
    timeout: 60_000,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 8000 },
  },
});
