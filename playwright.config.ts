import { defineConfig } from '@playwright/test';
import { chromiumPath } from './launcher/chromium';

// `./grim test e2e` brings a server up for each worker, with a database of its own and the demo in it (e2e/here.ts).
export default defineConfig({
  testDir: './e2e',
  outputDir: './test-results/playwright',
  timeout: 60_000,
  // A browser on a busy machine may stop drawing for a while, and a click waits for two frames (seen once in some thousand tests,
  // with nothing of ours to be found). Such a test is run once more and named as flaky; one that fails twice fails.
  retries: 1,
  fullyParallel: true,
  forbidOnly: process.env['CI'] !== undefined,
  expect: { timeout: 8_000 },
  use: {
    viewport: { width: 1280, height: 800 },
    browserName: 'chromium',
    headless: true,
    // A trace of every test costs a fifth of its time: `./grim test e2e <what> --trace on` makes one of what failed.
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: chromiumPath(),
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
