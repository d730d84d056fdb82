import { spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import { root } from './paths';
import { pause, Sentence } from './sentence';

/** Start the built web application; it ends by itself when this process is gone. */
export function startWeb(port: number, databaseUrl: string): ChildProcess {
  return spawn(
    process.execPath,
    ['--import', join(root, 'scripts/lib/endWithParent.mjs'), join(root, 'dist/server/entry.mjs')],
    {
      cwd: root,
      env: {
        ...process.env,
        NODE_ENV: 'production',
        HOST: process.env.CORVAT_HOST ?? '127.0.0.1',
        PORT: String(port),
        CORVAT_DATABASE_URL: databaseUrl,
      },
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
      detached: true,
    },
  );
}

/** Wait until the application answers. */
export async function waitForWeb(url: string, child: ChildProcess): Promise<void> {
  for (let waited = 0; waited < 30_000; waited += 100) {
    if (child.exitCode !== null) throw new Sentence('The web application ended while starting.');
    try {
      if ((await fetch(`${url}/api/health`)).ok) return;
    } catch {
      // Not listening yet.
    }
    await pause(100);
  }
  throw new Sentence('The web application does not answer after half a minute.');
}
