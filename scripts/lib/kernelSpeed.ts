import { spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { prepare, simulateRange, type Simulation } from '../../src/core/simulate/run';
import { root } from './paths';

/** Steps that the yardstick makes in a simulated second. */
const C_STEPS_PER_S = 500;
const RUNS = 200;
const C_STEPS = 15_000;
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

/** Both measured in turns, so that a machine that changes its pace changes it for both; null without gcc. */
export function kernelSpeed(simulation: Simulation): KernelSpeed | null {
  const program = join(mkdtempSync(join(tmpdir(), 'corvat-kernel-')), 'kernel');
  const source = join(root, 'scripts/reference/kernel.c');
  const compiled = spawnSync('gcc', ['-O3', '-o', program, source, '-lm'], { encoding: 'utf8' });
  if (compiled.status !== 0) return null;
  const prepared = prepare(simulation);
  const ours = () => {
    let simulatedS = 0;
    const started = performance.now();
    simulateRange(simulation, 0, RUNS, (_, { end }) => (simulatedS += end.timeS), prepared);
    return (1000 * (performance.now() - started)) / simulatedS;
  };
  const reference = () => {
    const { stdout } = spawnSync(program, [String(RUNS), String(C_STEPS)], { encoding: 'utf8' });
    return (Number.parseFloat(stdout) * C_STEPS_PER_S) / 1000;
  };
  ours();
  ours();
  const rounds = Array.from({ length: ROUNDS }, () => [ours(), reference()] as const);
  return {
    oursUs: median(rounds.map(([us]) => us)),
    referenceUs: median(rounds.map(([, us]) => us)),
    ratio: median(rounds.map(([us, them]) => us / them)),
  };
}
