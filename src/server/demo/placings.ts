import { radiansFromDegrees as deg } from '../../core/geometry/angle';
import type { Pose } from '../../core/geometry/pose';
import { type PlacingWay } from '../../core/calibrationValues/placingWays';
import { readOffGrid } from '../../core/placing/placing';
import { randomStream } from '../../core/stats/random';
import type { TeamDatabase } from '../database';
import { demoId } from './ids';
import { CONDITIONS, loadList } from './list';
import { BY_HAND, hiddenPipit, IN_THE_JIG } from './scenario';

/** How Juniper places it: by hand first, then in the jig that was put up by eye. */
const PLACINGS: [PlacingWay, typeof BY_HAND, Pose][] = [
  ['by hand', BY_HAND, { xM: 0.001, yM: -0.001, headingRad: deg(0.2) }],
  ['in the jig', IN_THE_JIG, { xM: 0.0015, yM: 0.002, headingRad: deg(0.6) }],
];
const EACH = 10;
const NOT_OFF: Pose = { xM: 0, yM: 0, headingRad: 0 };

/** Ten placings by hand and ten in the jig; nobody has applied them yet. */
export async function loadPlacings(db: TeamDatabase, robotId: string): Promise<void> {
  const { frontM, rearM } = hiddenPipit.body;
  const marks = { noseToTailM: frontM + rearM, noseToAxleM: frontM };
  const trials = PLACINGS.flatMap(([way, { alongSdM, acrossSdM, headingSdRad }, aim], i) =>
    Array.from({ length: EACH }, (_, k) => {
      const random = randomStream(61 + i, k, 'demo-placing');
      const pose = {
        xM: aim.xM + alongSdM * random.normal(),
        yM: aim.yM + acrossSdM * random.normal(),
        headingRad: aim.headingRad + headingSdRad * random.normal(),
      };
      return {
        id: demoId('PC', EACH * i + k + 1),
        person: 'Juniper',
        way,
        ...readOffGrid(pose, marks),
        setAsideReason: null,
      };
    }),
  );
  await loadList<'placing'>(db, robotId, 3, '2026-11-20T16:05:00.000Z', {
    procedure: 'placing',
    conditions: { ...CONDITIONS, ...marks, planned: readOffGrid(NOT_OFF, marks) },
    trials,
  });
}
