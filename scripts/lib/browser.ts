import { chromium, type Browser } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { spawn } from 'node:child_process';
import { root } from './paths';

const ARGUMENTS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export const launchBrowser = (): Promise<Browser> =>
  chromium.launch({ executablePath: '/usr/bin/chromium-headless-shell', args: ARGUMENTS });

/** Serve the demo data from a folder of its own while `work` looks at it. */
export async function withServedDemo(
  work: (url: string, home: string) => Promise<void>,
): Promise<void> {
  const home = mkdtempSync(join(tmpdir(), 'corvat-'));
  const child = spawn('node', ['--import', 'tsx', 'scripts/serve.ts', 'demo'], {
    cwd: root,
    env: { ...process.env, CORVAT_HOME: home, CORVAT_LOG_LEVEL: 'silent' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  try {
    const url = await new Promise<string>((found, failed) => {
      child.stdout.on('data', (chunk: Buffer) => {
        const match = /Corvat is ready: (\S+)/.exec(chunk.toString());
        if (match?.[1] !== undefined) found(match[1]);
      });
      child.once('exit', () => failed(new Error('Corvat did not start')));
    });
    await work(url, home);
  } finally {
    child.kill('SIGTERM');
    await new Promise((ended) => child.once('exit', ended));
    rmSync(home, { recursive: true, force: true });
  }
}
