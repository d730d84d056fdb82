import { spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build } from 'vite';
import { root } from './paths';

/** Steps that the yardstick makes in a simulated second. */
const C_STEPS_PER_S = 500;
/** What is timed together: runs of 30 s. As with ours, the best of some counts, which was disturbed least. */
const C_RUNS = '60';
const C_STEPS = '15000';
const C_TIMES = 20;
const ROUNDS = 7;

const median = (values: readonly number[]): number =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? Number.NaN;

/** Microseconds that a simulated second takes: by the simulator, and by the yardstick in C. */
export interface KernelSpeed {
  oursUs: number;
  referenceUs: number;
  /** Median of the rounds' own ratios: both of a round were measured one right after the other. */
  ratio: number;
}

const numberSaid = (command: string, ...words: string[]): number =>
  Number.parseFloat(spawnSync(command, words, { encoding: 'utf8' }).stdout);

/** Both measured in turns, so that a machine that changes its pace changes it for both; null without gcc. */
export async function kernelSpeed(): Promise<KernelSpeed | null> {
  const folder = mkdtempSync(join(tmpdir(), 'corvat-kernel-'));
  const source = join(root, 'scripts/reference/kernel.c');
  const yardstick = join(folder, 'kernel');
  if (spawnSync('gcc', ['-O3', '-o', yardstick, source, '-lm']).status !== 0) return null;
  // As the browser gets it, and not as the scripts' loader leaves it.
  await build({
    configFile: false,
    logLevel: 'silent',
    ssr: { noExternal: true },
    build: {
      ssr: join(root, 'scripts/reference/simulator.ts'),
      outDir: folder,
      emptyOutDir: false,
    },
  });
  const rounds = Array.from({ length: ROUNDS }, () => ({
    us: numberSaid(process.execPath, join(folder, 'simulator.js')),
    them:
      (Math.min(...Array.from({ length: C_TIMES }, () => numberSaid(yardstick, C_RUNS, C_STEPS))) *
        C_STEPS_PER_S) /
      1000,
  }));
  return {
    oursUs: median(rounds.map(({ us }) => us)),
    referenceUs: median(rounds.map(({ them }) => them)),
    ratio: median(rounds.map(({ us, them }) => us / them)),
  };
}
