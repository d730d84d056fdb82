import type { SeenBy } from '../../core/light/linePassWords';
import { randomStream } from '../../core/stats/random';
import type { LinePassRecord } from '../../core/trials/linePass';
import type { TeamDatabase } from '../database';
import { demoId } from './ids';
import { CONDITIONS, loadList, NOT_ASIDE, toMillimetre } from './list';

/** How late each way of telling the line is, s, and every how many passes it misses it; 0: never. */
const WAYS: Record<SeenBy, { lateS: number; missesEvery: number }> = {
  brightness: { lateS: 0.055, missesEvery: 0 },
  colour: { lateS: 0.085, missesEvery: 0 },
  ambient: { lateS: 0.06, missesEvery: 4 },
};

interface Made {
  by: SeenBy;
  drives: LinePassRecord['drives'];
  speedMPerS: number;
  passes: number;
}
const MADE: Made[] = [
  { by: 'brightness', drives: 'forwards', speedMPerS: 0.2, passes: 10 },
  { by: 'brightness', drives: 'forwards', speedMPerS: 0.1, passes: 6 },
  { by: 'brightness', drives: 'backwards', speedMPerS: 0.2, passes: 6 },
  { by: 'colour', drives: 'forwards', speedMPerS: 0.2, passes: 10 },
  { by: 'ambient', drives: 'forwards', speedMPerS: 0.2, passes: 10 },
];
/** Backwards the casters turn first: it stands further. */
const BACKWARDS_M = 0.008;

const passes = (): LinePassRecord[] =>
  MADE.flatMap(({ passes: n, ...made }, row) =>
    Array.from({ length: n }, (_, i): LinePassRecord => {
      const { lateS, missesEvery } = WAYS[made.by];
      const random = randomStream(97, 20 * row + i, 'demo-line-passes');
      const missed = missesEvery > 0 && i % missesEvery === missesEvery - 1;
      const further = made.drives === 'backwards' ? BACKWARDS_M : 0;
      const overM = 0.002 + made.speedMPerS * lateS + further + 0.0012 * random.normal();
      return {
        id: demoId('HP', 20 * row + i + 1),
        ...made,
        on: 'entering',
        noticed: missed ? 'nothing' : 'line',
        overM: missed ? null : toMillimetre(overM),
        ...NOT_ASIDE,
      };
    }),
  );

/** A line that was driven over, told by its brightness, by its colour, by the light of the room. */
export async function loadPasses(db: TeamDatabase, robotId: string): Promise<void> {
  await loadList<'line-speed'>(db, robotId, 27, '2026-11-20T16:40:00.000Z', {
    procedure: 'line-speed',
    conditions: CONDITIONS,
    trials: passes(),
  });
}
