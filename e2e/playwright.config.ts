import { existsSync } from 'node:fs'
import { defineConfig } from '@playwright/test'

// The headless build takes half the time of the whole browser; either will do.
const executablePath = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'].find(existsSync)

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
  workers: 3, // a drive and what rests leave two cores time for a third
  retries: 0,
  timeout: 240_000, // a slow machine takes ten times as long as a quick one
  expect: { timeout: 60_000 },
  forbidOnly: !!process.env.CI,
  reporter: [['list']],
  testIgnore: process.env.SHOTS || process.env.SPEED ? [] : ['shots.spec.ts', 'speed.spec.ts'],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath, args },
  },
})
