import type { ReadingOf } from '../devices/channel';
import { controller, travelledM, type Begun, type Controller, type Tick } from './controller';
import { follow, type Follow } from './follow';
import { seeLine, type LinesSeen } from './linesSeen';

export interface FollowUntil extends Omit<Follow, 'of' | 'durationS'> {
  /** Null: the robot has no such sensor. */
  of: ReadingOf | null;
  /** It ends after so much of the way. */
  lengthM: number;
  timeoutS: number;
  /** Or as another sensor comes to so many lines; null: it looks at none. Its own null: there is no such sensor. */
  crossing: ({ of: ReadingOf | null; count: number } & LinesSeen) | null;
  /** Past this, or where nothing comes back, there is nothing to follow: it goes straight on; null: at no reading. */
  gapFrom: number | null;
  /** Or where that lasts: at a wall's end. */
  endsAtGap: boolean;
}

interface State extends Begun {
  motion: Controller;
  of: ReadingOf | null;
  lengthM: number;
  timeoutS: number;
  crossing: FollowUntil['crossing'];
  gapFrom: number | null;
  endsAtGap: boolean;
  speedMPerS: number;
  startM: number;
  /** Since when there is nothing to follow. */
  beyondSinceS: number | null;
  /** So far it goes straight on, over a line across. */
  straightToM: number;
}

/** So much further than where the one sensor leaves a line across, the other has left it, too. */
export const PAST_CROSSING_M = 0.02;

/** So long nothing has to be there: single lost echoes are no wall's end. */
export const GAP_S = 0.15;

/** Since when there is nothing to follow; null: there is. */
function seeGap(state: State, reading: number | null, timeS: number): void {
  const { gapFrom } = state;
  if (gapFrom === null) return;
  if (reading !== null && reading <= gapFrom) state.beyondSinceS = null;
  else state.beyondSinceS ??= timeS;
}

const tick: Tick<State> = (state, now, wheels) => {
  const { motion, of, crossing } = state;
  if (of === null || crossing?.of === null) return 'no-sensor';
  if (state.startS === null) {
    state.startS = now.timeS;
    state.startM = travelledM(now);
  }
  if (travelledM(now) - state.startM >= state.lengthM) return 'done';
  if (crossing !== null) {
    seeLine(crossing, now.reading(crossing.of));
    if (crossing.seen >= crossing.count) return 'done';
  }
  seeGap(state, now.reading(of), now.timeS);
  const { beyondSinceS, endsAtGap } = state;
  if (endsAtGap && beyondSinceS !== null && now.timeS - beyondSinceS >= GAP_S) return 'done';
  if (now.timeS - state.startS > state.timeoutS) return 'time';
  const said = motion.tick(motion.state, now, wheels);
  // Over a line across, what it follows by is no edge; past a wall's end, no wall.
  if (crossing?.isOnLine === true) state.straightToM = travelledM(now) + PAST_CROSSING_M;
  if (travelledM(now) < state.straightToM || beyondSinceS !== null) {
    wheels.leftMPerS = state.speedMPerS;
    wheels.rightMPerS = state.speedMPerS;
  }
  return said;
};

const NOTHING: ReadingOf = { unitId: '', channel: '' };

/** Follow a line or a wall (`follow.ts`) for so much of the way, to the n-th line that another sensor sees, or to its end. */
export const followUntil = (
  { of, lengthM, timeoutS, crossing, gapFrom, endsAtGap, ...how }: FollowUntil,
  trackM: number,
): Controller =>
  controller<State>(tick, {
    motion: follow({ ...how, of: of ?? NOTHING, durationS: Infinity }, trackM),
    of,
    lengthM,
    timeoutS,
    crossing: crossing && { ...crossing },
    gapFrom,
    endsAtGap,
    speedMPerS: how.speedMPerS,
    startS: null,
    startM: 0,
    beyondSinceS: null,
    straightToM: -Infinity,
  });
