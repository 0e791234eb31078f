import { defineConfig } from '@playwright/test';

const port = Number(process.env['E2E_PORT'] ?? 3000);

// `./grim test e2e` brings the server up, with a database of its own and the demo in it.
export default defineConfig({
  testDir: './e2e',
  outputDir: './test-results/playwright',
  timeout: 60_000,
  expect: { timeout: 8_000 },
  workers: 1,
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    browserName: 'chromium',
    headless: true,
    trace: 'retain-on-failure',
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
