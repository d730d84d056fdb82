import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './paths';

export interface CommandFigures {
  seconds: number;
  /** Most memory it held at once. */
  megabytes: number;
}

/** Most memory that a process has held so far, by the kernel's own count; 0 when it has ended. */
function peakMegabytes(pid: number): number {
  try {
    const peak = /VmHWM:\s+(\d+) kB/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1];
    return Number(peak ?? 0) / 1000;
  } catch {
    return 0;
  }
}

const LOOK_MS = 20;

/** Run backup or restore as a coach would, on the data of a folder. */
async function measured(
  command: 'backup' | 'restore',
  file: string,
  home: string,
): Promise<CommandFigures> {
  const started = performance.now();
  const child = spawn(join(root, 'corvat'), [command, file], {
    env: { ...process.env, CORVAT_HOME: home },
    stdio: 'ignore',
  });
  let megabytes = 0;
  const looking = setInterval(() => {
    megabytes = Math.max(megabytes, peakMegabytes(child.pid ?? 0));
  }, LOOK_MS);
  const code = await new Promise((ended) => child.once('exit', ended));
  clearInterval(looking);
  if (code !== 0) throw new Error(`${command} ended with ${String(code)}`);
  return { seconds: (performance.now() - started) / 1000, megabytes };
}

/** A backup of all that is there, and the same restored. */
export async function bundleSpeed(
  home: string,
): Promise<{ backup: CommandFigures; restore: CommandFigures }> {
  const file = join(home, 'season.jsonl');
  const backup = await measured('backup', file, home);
  return { backup, restore: await measured('restore', file, home) };
}
