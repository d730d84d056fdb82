import { radiansFromDegrees as deg } from '../../core/geometry/angle';
import { headingAxis, motorsDisturb, zeroedByStart } from '../../core/gyro/headingTests';
import type { HeadingTestsCalibration } from '../../core/calibrationValues/headingTests';
import { randomStream } from '../../core/stats/random';
import type { AttachmentMoveRecord } from '../../core/trials/attachment';
import type { LineSquaringTrialRecord } from '../../formats/benchRecords';
import type { TeamDatabase } from '../database';
import { demoId } from './ids';
import { CONDITIONS, loadApplied, loadList, NOT_ASIDE, toHalfDegree } from './list';

const SEVEN = [8, -6, 10, -9, 5, -7, 6];

/** Squared on a line once, and with a second, slower pass: a part of the error before stays after one. */
const squarings = (): LineSquaringTrialRecord[] =>
  [null, 0.04].flatMap((secondMPerS, way) =>
    SEVEN.map((before, i) => {
      const random = randomStream(95, 10 * way + i, 'demo-line-square');
      const after = (secondMPerS === null ? 0.18 * before : 0) + 0.5 * random.normal();
      return {
        id: demoId('HS', 10 * way + i + 1),
        speedMPerS: 0.1,
        secondMPerS,
        beforeRad: deg(before),
        afterRad: toHalfDegree(deg(after)),
        ...NOT_ASIDE,
      };
    }),
  );

/** An arm, how much its gears have play, and what its moves draw their chance by. */
interface DemoArm {
  ids: string;
  seed: number;
  positions: Readonly<Record<string, number>>;
  playDeg: number;
}

/** An arm that is sent to its positions from either side: its gears have play. */
const moves = ({ ids, seed, positions, playDeg }: DemoArm): AttachmentMoveRecord[] =>
  Object.entries(positions).flatMap(([position, wantedRad], p) =>
    (['up', 'down'] as const).flatMap((came, side) =>
      SEVEN.slice(0, 5).map((_, i) => {
        const random = randomStream(seed, 20 * p + 10 * side + i, 'demo-attachments');
        const off = ((came === 'up' ? 1 : -1) * playDeg) / 2 + 0.6 * random.normal();
        return {
          id: demoId(ids, 20 * p + 10 * side + i + 1),
          position,
          wantedRad,
          endedBy: 'counter' as const,
          came,
          speedRadPerS: deg(180),
          load: 'empty' as const,
          reachedRad: wantedRad + deg(Math.round(off)),
          timeS: null,
          ...NOT_ASIDE,
        };
      }),
    ),
  );

/** What was told of either arm. */
export const TOLD = {
  armM: 0.12,
  windowM: 0.008,
  homesBy: 'stop',
  homePower: 0.25,
  homeRadPerS: deg(90),
  rangeRad: deg(130),
  counter: 'none',
} as const;

/** An arm as it was tried. */
export async function loadArm(
  db: TeamDatabase,
  robotId: string,
  of: DemoArm & { list: number; at: string; startsAt: string },
): Promise<{ trialsId: string; trials: AttachmentMoveRecord[] }> {
  const trials = moves(of);
  const trialsId = await loadList<'attachments'>(db, robotId, of.list, of.at, {
    procedure: 'attachments',
    conditions: { ...CONDITIONS, ...TOLD, startsAt: of.startsAt },
    trials,
  });
  return { trialsId, trials };
}

/** What its small screen showed: two angles before and after a quarter, before and after a start, with and without motors. */
const HEADING_READ = {
  angles: [
    { name: 'yaw', beforeRad: deg(2), afterRad: deg(91) },
    { name: 'pitch', beforeRad: deg(1), afterRad: deg(0) },
  ],
  start: [deg(42), deg(0)] as const,
  resting: { fromRad: deg(90), untilRad: deg(90), durationS: 30 },
  running: { fromRad: deg(90), untilRad: deg(91), durationS: 30 },
};

const headingTested = (): HeadingTestsCalibration => ({
  kind: 'heading-tests',
  axis: headingAxis(HEADING_READ.angles).found,
  start: zeroedByStart(...HEADING_READ.start).found,
  motors: motorsDisturb(HEADING_READ.resting, HEADING_READ.running, deg(1)).found,
});

/** Squaring on a line, an arm that was tried, and the tests of the heading. */
export async function loadArms(db: TeamDatabase, robotId: string): Promise<void> {
  await loadList<'line-square'>(db, robotId, 25, '2026-11-20T15:30:00.000Z', {
    procedure: 'line-square',
    conditions: CONDITIONS,
    trials: squarings(),
  });
  await loadApplied(db, robotId, 24, {
    value: headingTested(),
    trialsId: null,
    raw: [HEADING_READ],
    reason: 'the controller was mounted anew',
    who: 'Moss',
    madeAt: '2026-11-10T15:10:00.000Z',
    changedAt: '2026-11-10T15:12:00.000Z',
  });
  await loadArm(db, robotId, {
    ids: 'HM',
    seed: 96,
    positions: { grip: deg(20), up: deg(110) },
    playDeg: 4,
    list: 26,
    at: '2026-11-20T16:05:00.000Z',
    startsAt: 'folded back',
  });
}
