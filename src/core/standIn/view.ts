import { fromTable } from '../geometry/pose';
import { randomStream } from '../stats/random';
import { bumperGapM } from './about';
import { byTape } from './byTape';
import { routeView } from './routeView';
import { busyUntilS, epochAt, lastPlace, standInTime, type StandIn } from './state';
import type { StandInTruth } from './truth';

/** What a person measures of the last program: the pose it ended in, in the frame it began in. */
export function measureLastProgram(truth: StandInTruth, state: StandIn, nowS: number) {
  const motion = state.motions.at(-1);
  if (motion?.what.by !== 'program' || nowS < motion.toS) return null;
  const { start, end, what } = motion;
  const random = randomStream(what.seed, 0, 'measuring');
  const from = fromTable(start.pose, end.pose);
  const { toMillimetre, toHalfDegree } = byTape(random);
  const gapM = bumperGapM(truth, state, end.pose, nowS);
  return {
    turnedRad: toHalfDegree(end.pose.headingRad - start.pose.headingRad),
    xM: toMillimetre(from.xM),
    yM: toMillimetre(from.yM),
    durationS: motion.toS - motion.fromS,
    /** From its bumper to what stands before it; null where nothing does. */
    gapM: gapM && toMillimetre(gapM),
    /** Under way. */
    batteryV: what.batteryV ?? null,
  };
}

/** What is shown of a stand-in besides its readings. */
export function standInView(truth: StandInTruth, state: StandIn, nowMs: number) {
  const nowS = standInTime(state, nowMs);
  const epoch = epochAt(state, nowS);
  const last = state.motions.at(-1);
  return {
    nowS,
    on: epoch.on,
    onForS: epoch.on ? nowS - epoch.poweredS : null,
    moving: nowS < busyUntilS(state),
    clockRate: state.clock.rate,
    targetM: state.target?.distanceM ?? null,
    card: state.card,
    buttonDown: state.buttonDown,
    /** When its last program began: by this one is told from the one before; null where hands moved it last. */
    programFromS: last?.what.by === 'program' ? last.fromS : null,
    measured: measureLastProgram(truth, state, nowS),
    route: routeView(truth, state, nowS),
    place: nowS < busyUntilS(state) ? null : lastPlace(state).pose,
  };
}

export type StandInView = ReturnType<typeof standInView>;
