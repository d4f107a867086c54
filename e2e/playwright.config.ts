import { defineConfig } from '@playwright/test'

const args = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]

export default defineConfig({
  testDir: '.',
  outputDir: '.out',
  fullyParallel: true,
  workers: 2,
  retries: 0,
  timeout: 90_000, // a slow machine takes three times as long as a quick one
  expect: { timeout: 20_000 },
  forbidOnly: !!process.env.CI,
  reporter: [['list']],
  testIgnore: process.env.SHOTS || process.env.SPEED ? [] : ['shots.spec.ts', 'speed.spec.ts'],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: '/usr/bin/chromium', args },
  },
})
