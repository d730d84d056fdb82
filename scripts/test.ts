import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { root } from './lib/paths';
import { main, say } from './lib/sentence';

/** One thing to check: a command, and where it leaves its counts if it counts by itself. */
interface Check {
  name: string;
  command: string[];
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
    stats: { expected: number; unexpected: number; flaky: number; skipped: number };
  };
  return { passed: stats.expected, failed: stats.unexpected + stats.flaky + stats.skipped };
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

const CHECKS: Check[] = [
  { name: 'formatting', command: ['prettier', '--check', '.', '--log-level', 'warn'] },
  { name: 'types', command: ['astro', 'check', '--minimumFailingSeverity', 'warning'] },
  { name: 'lint', command: ['eslint', '.', '--max-warnings', '0'] },
  { name: 'unused code', command: ['knip'] },
  vitest('core'),
  vitest('api'),
  {
    name: 'browser',
    command: ['playwright', 'test'],
    counts: () => playwrightCounts(`${results}/e2e.json`),
  },
];

const run = ([program = '', ...args]: string[]): Promise<number> =>
  new Promise((ended) => {
    const { NODE_ENV: _production, ...env } = process.env;
    const child = spawn(`${root}/node_modules/.bin/${program}`, args, {
      cwd: root,
      env,
      stdio: 'inherit',
    });
    child.once('error', () => ended(1));
    child.once('exit', (code) => ended(code ?? 1));
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

main(async () => {
  rmSync(results, { recursive: true, force: true });
  if (!existsSync(results)) mkdirSync(results);
  const sum = { passed: 0, failed: 0 };
  for (const check of CHECKS) {
    const started = Date.now();
    say(`\n── ${check.name}`);
    const status = await run(check.command);
    const { passed, failed } = countsOf(check, status);
    sum.passed += passed;
    sum.failed += failed;
    say(
      `── ${check.name}: ${passed} passed, ${failed} failed (${Math.round((Date.now() - started) / 1000)} s)`,
    );
  }
  console.log(`${sum.passed} passed, ${sum.failed} failed`);
  process.exitCode = sum.failed === 0 ? 0 : 1;
});
