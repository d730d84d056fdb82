import { readFileSync } from 'node:fs';
import { pause } from './sentence';

/** Whether a process is alive. */
export function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]?.[0] !== 'Z';
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}

/** When a process began, in ticks since the machine did: with its number it names one process for ever. */
export function beganAt(pid: number): string | null {
  try {
    return readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]?.split(' ')[19] ?? null;
  } catch {
    return null;
  }
}

/** Whether a live process was started with some text in its command line. Pids are used again. */
export function isProcess(pid: number, text: string): boolean {
  try {
    return isAlive(pid) && readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(text);
  } catch {
    return false;
  }
}

/** Ask a process to end, and insist after a while. */
export async function endProcess(pid: number, patienceMs = 20_000): Promise<void> {
  const signal = (name: NodeJS.Signals) => {
    try {
      process.kill(pid, name);
    } catch {
      // It has ended by itself.
    }
  };
  signal('SIGTERM');
  for (let waited = 0; waited < patienceMs && isAlive(pid); waited += 50) await pause(50);
  if (isAlive(pid)) signal('SIGKILL');
  while (isAlive(pid)) await pause(50);
}
