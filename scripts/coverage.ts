import { LOG_KINDS, stillCoverage } from './lib/coverage';
import { main, say } from './lib/sentence';

/** How often the still check's 95 % interval holds the truth, for each kind of log. */
const LOGS = 2000;
const SEED = 2026;

main(() => {
  say(`… ${LOGS} simulated logs of each kind; this takes some twenty minutes`);
  for (const kind of LOG_KINDS) {
    const { share, walkDominates, falseTouches } = stillCoverage(kind, LOGS, SEED);
    const holds = share >= 0.93 && (!walkDominates || share <= 0.98);
    const step =
      kind.quantumDeg === 0 ? 'no step' : `${kind.quantumDeg}°${kind.kind === 'rate' ? '/s' : ''}`;
    console.log(
      `${holds ? 'ok  ' : 'FAIL'}  ${kind.kind.padEnd(8)} step ${step.padEnd(8)} ${String(kind.lengthS).padStart(3)} s  walk ${kind.walkDeg} °/√s  held ${share.toFixed(3)}${walkDominates ? ' (walk dominates)' : ''}, touches seen in ${falseTouches}`,
    );
  }
  return Promise.resolve();
});
