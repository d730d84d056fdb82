import { spawnSync } from 'node:child_process';
import { LOG_KINDS, stillCoverage, type LogKind } from './lib/coverage';
import { TURN_KINDS, turnCoverage } from './lib/turnCoverage';
import { BENCH_KINDS, benchCoverage } from './lib/benchCoverage';
import { MEASURED } from './lib/forecastBench';
import { forecastCoverage, ROUTES } from './lib/forecastCoverage';
import { samplingErrors, widthsBesideKnown } from './lib/forecastWidths';
import { root } from './lib/paths';
import { main, say } from './lib/sentence';

/** How often 95 % intervals hold the truth: of the still check for each kind of log, of turns, and of benches. */
const LOGS = 2000;
const SEED = 2026;
/** Robots of which each forecast is judged. */
const ROBOTS = 1000;
/** Robots whose forecasts are compared in their widths. */
const WIDTH_ROBOTS = 100;

main(() => {
  const logs = Number(process.argv[2] ?? LOGS);
  say(
    `… ${logs} simulated logs of each kind; and a thousand robots of each forecast; this takes some hours (a smaller number may be given)`,
  );
  for (const kind of LOG_KINDS) {
    const found = stillCoverage(kind, logs, SEED);
    const holds =
      found.share >= found.least &&
      (!found.walkDominates || found.share <= 0.98) &&
      found.falseTouches < 0.02 * logs;
    console.log(
      `${holds ? 'ok  ' : 'FAIL'}  ${kindText(kind)}  held ${found.share.toFixed(3)}${found.walkDominates ? ' (walk dominates)' : ''}, touches seen in ${found.falseTouches}, subtracting advised in ${found.subtract}`,
    );
  }
  for (const kind of TURN_KINDS) {
    const { name, share, least } = turnCoverage(kind, logs, SEED);
    console.log(`${share >= least ? 'ok  ' : 'FAIL'}  turns: ${name}  held ${share.toFixed(3)}`);
  }
  for (const kind of BENCH_KINDS) {
    const share = benchCoverage(kind, logs, SEED);
    const holds = share >= 0.93 && share <= 0.98;
    console.log(`${holds ? 'ok  ' : 'FAIL'}  ${kind.name}  held ${share.toFixed(3)}`);
  }
  for (const how of MEASURED) {
    for (const route of Object.keys(ROUTES)) {
      const found = forecastCoverage(how, route, Math.min(logs, ROBOTS), SEED);
      const { xM, yM, headingRad, chance } = found;
      const holds = [xM, yM, headingRad, chance].every((share) => share >= 0.93);
      const shares = [xM, yM, headingRad, chance].map((share) => share.toFixed(3)).join(' ');
      console.log(
        `${holds ? 'ok  ' : 'FAIL'}  forecast, ${how} measured: ${route}  held x y heading chance ${shares}`,
      );
    }
  }
  for (const how of ['straights and turns', 'all'] as const) {
    const known = samplingErrors(how, Math.min(logs, ROBOTS), SEED);
    for (const route of Object.keys(ROUTES)) {
      const ratios = widthsBesideKnown(how, route, Math.min(logs, WIDTH_ROBOTS), known, SEED);
      const holds = Object.values(ratios).every((ratio) => ratio <= 1.5);
      const told = Object.entries(ratios).map(([name, ratio]) => `${name} ${ratio.toFixed(2)}`);
      console.log(
        `${holds ? 'ok  ' : 'FAIL'}  forecast, ${how} measured: ${route}  times as wide as with true errors: ${told.join(' ')}`,
      );
    }
  }
  say('… the tests that draw cases, with all of them');
  const tests = spawnSync(`${root}/node_modules/.bin/vitest`, ['run', '--project', 'core'], {
    cwd: root,
    env: { ...process.env, CORVAT_DRAWS: 'whole' },
    stdio: 'inherit',
  });
  process.exitCode = tests.status ?? 1;
  return Promise.resolve();
});

function kindText({ kind, quantumDeg, lengthS, walkDeg, driftDeg, biasDeg, warmUp }: LogKind) {
  const step = quantumDeg === 0 ? 'no step' : `${quantumDeg}°${kind === 'rate' ? '/s' : ''}`;
  const more = [
    driftDeg === undefined ? '' : `drift ${driftDeg} °/s`,
    biasDeg === undefined ? '' : `bias ${biasDeg} °/s`,
    warmUp === undefined ? '' : `warms up by ${warmUp[0]}° in ${warmUp[1]} s`,
  ].filter((text) => text !== '');
  return [
    `${kind.padEnd(8)} step ${step.padEnd(8)} ${String(lengthS).padStart(3)} s  walk ${walkDeg} °/√s`,
    ...more,
  ].join('  ');
}
