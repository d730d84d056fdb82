import { spawn } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { root } from './lib/paths';
import { main, say } from './lib/sentence';

/** One thing to check: a command, and where it leaves its counts if it counts by itself. */
interface Check {
  name: string;
  command: string[];
  env?: Record<string, string>;
  counts?: () => { passed: number; failed: number };
}

const results = `${root}/test-results`;

function vitestCounts(file: string) {
  const { numPassedTests, numTotalTests } = JSON.parse(readFileSync(file, 'utf8')) as Record<
    string,
    number
  >;
  return { passed: numPassedTests ?? 0, failed: (numTotalTests ?? 0) - (numPassedTests ?? 0) };
}

function playwrightCounts(file: string) {
  const { stats } = JSON.parse(readFileSync(file, 'utf8')) as {
    stats: { expected: number; unexpected: number; skipped: number };
  };
  return { passed: stats.expected, failed: stats.unexpected + stats.skipped };
}

const vitest = (project: string): Check => ({
  name: project,
  command: [
    'vitest',
    'run',
    '--project',
    project,
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${results}/${project}.json`,
  ],
  counts: () => vitestCounts(`${results}/${project}.json`),
});

/** Browser tests: three at once, each with a served Corvat of its own. */
const browser: Check = {
  name: 'browser',
  command: ['playwright', 'test', `--output=${results}/browser`],
  env: { CORVAT_E2E_RESULTS: `${results}/browser.json` },
  counts: () => playwrightCounts(`${results}/browser.json`),
};

/**
 * Checks of one lane follow one another; the lanes of a stage run side by side, one more than there are cores: tests of
 * the API wait for what they start and stop.
 */
const STAGES: Check[][][] = [
  [
    [
      vitest('core'),
      { name: 'formatting', command: ['prettier', '--check', '.', '--log-level', 'warn'] },
    ],
    [vitest('api')],
    [
      { name: 'lint', command: ['eslint', '.', '--max-warnings', '0'] },
      { name: 'types', command: ['astro', 'check', '--minimumFailingSeverity', 'warning'] },
      { name: 'circles of imports', command: ['oxlint'] },
      { name: 'unused code', command: ['knip'] },
    ],
  ],
  [[browser]],
];

/** What takes its time and is run by hand: kills, a full disk, large backups. */
const ENDURANCE: Check[][][] = [[[vitest('endurance')]]];

/** Run a command to its end; what it says is kept together, so that two at once stay readable. */
const run = ({
  command: [program = '', ...args],
  env: more,
}: Check): Promise<{ status: number; said: string }> =>
  new Promise((ended) => {
    const { NODE_ENV: _production, ...env } = process.env;
    const child = spawn(`${root}/node_modules/.bin/${program}`, args, {
      cwd: root,
      env: { ...env, ...more },
    });
    let said = '';
    const listen = (chunk: Buffer) => {
      said += chunk.toString();
    };
    child.stdout.on('data', listen);
    child.stderr.on('data', listen);
    child.once('error', () => ended({ status: 1, said }));
    child.once('exit', (code) => ended({ status: code ?? 1, said }));
  });

/** What a check came to: its own counts, but never "nothing failed" when its command did. */
function countsOf({ counts }: Check, status: number) {
  const whole = { passed: status === 0 ? 1 : 0, failed: status === 0 ? 0 : 1 };
  if (counts === undefined) return whole;
  try {
    const counted = counts();
    return { ...counted, failed: Math.max(counted.failed, whole.failed) };
  } catch {
    return { passed: 0, failed: 1 };
  }
}

async function check(one: Check) {
  const started = Date.now();
  const { status, said } = await run(one);
  const counts = countsOf(one, status);
  const seconds = Math.round((Date.now() - started) / 1000);
  if (counts.failed > 0) say(said);
  say(`… ${one.name}: ${counts.passed} passed, ${counts.failed} failed (${seconds} s)`);
  return counts;
}

main(async () => {
  rmSync(results, { recursive: true, force: true });
  mkdirSync(results);
  const sum = { passed: 0, failed: 0 };
  const inOrder = async (lane: Check[]) => {
    for (const one of lane) {
      const { passed, failed } = await check(one);
      sum.passed += passed;
      sum.failed += failed;
    }
  };
  const stages = process.argv[2] === 'endurance' ? ENDURANCE : STAGES;
  for (const stage of stages) await Promise.all(stage.map(inOrder));
  console.log(`${sum.passed} passed, ${sum.failed} failed`);
  process.exitCode = sum.failed === 0 ? 0 : 1;
});
