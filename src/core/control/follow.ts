import type { ReadingOf } from '../devices/channel';
import { controller, type Begun, type Controller, type Tick } from './controller';

export interface Follow {
  /** Of what looks at the wall or at the line's edge. */
  of: ReadingOf;
  /** What looks at the line's other side: the reading is that of the one less that of the other. */
  minus?: ReadingOf | null;
  /** Its reading that is to be kept: metres to a wall, a share of the light over an edge. */
  target: number;
  /** Turning to the left, rad/s, for a reading that is too large by one; negative turns right. */
  gainRadPerS: number;
  speedMPerS: number;
  durationS: number;
}

interface State extends Follow, Begun {
  minus: ReadingOf | null;
  trackM: number;
  rateRadPerS: number;
}

const tick: Tick<State> = (state, now, wheels) => {
  const { target, gainRadPerS, speedMPerS, trackM } = state;
  state.startS ??= now.timeS;
  if (now.timeS - state.startS >= state.durationS) return 'done';
  const own = now.reading(state.of);
  const other = state.minus === null ? 0 : now.reading(state.minus);
  if (own !== null && other !== null) {
    const reading = own - other;
    const mostRadPerS = (2 * speedMPerS) / trackM;
    const wanted = gainRadPerS * (reading - target);
    state.rateRadPerS = Math.max(-mostRadPerS, Math.min(mostRadPerS, wanted));
  }
  const half = (state.rateRadPerS * trackM) / 2;
  wheels.leftMPerS = speedMPerS - half;
  wheels.rightMPerS = speedMPerS + half;
  return 'go on';
};

/**
 * Drive along a wall or a line's edge: turn by a gain on how far the reading is from its target. A lost echo
 * changes nothing: it goes on turning as before. The inner wheel never runs backwards.
 *
 * Source: proportional control, Åström and Murray, Feedback Systems, 2nd ed., 2021, chapter 11.
 */
export const follow = (
  { of, minus = null, target, gainRadPerS, speedMPerS, durationS }: Follow,
  trackM: number,
): Controller =>
  controller<State>(tick, {
    of,
    minus,
    target,
    gainRadPerS,
    speedMPerS,
    durationS,
    trackM,
    startS: null,
    rateRadPerS: 0,
  });
