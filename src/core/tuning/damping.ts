import type { ThreeSentences } from '../gyro/still/stillSentence';
import { number } from '../text/quantities';
import type { TunedId } from '../robot/tunedIds';
import { dampingText, gainText, integralText } from '../control/tuned';

/** How a robot with a good gain came back: past its target, well, with trembling motors, or beside its target for good. */
export const SETTLES = ['overshoots', 'settles', 'trembles', 'stays off'] as const;

export type Settles = (typeof SETTLES)[number];

/** A damping and an integral constant that were tried with the gain, and how it came back. */
export interface DampingLook {
  damping: number;
  integral: number;
  seen: Settles;
}

export interface DampingStudy {
  /** To try next, or to keep: SI, correction for each unit a second, and for each unit for a second. */
  damping: number;
  integral: number;
  isFound: boolean;
  sentences: ThreeSentences;
}

/** No program reacts in less. */
const LEAST_DELAY_S = 0.01;
/** An integral works so much more slowly than the gain. */
const SLOWER = 10;
const LEAST_RESET_S = 1;
/** Dampings of which the larger trembles and the smaller swings are as near to each other as is worth trying. */
const MEET = 1.2;

const WORDS: Record<Settles, string> = {
  overshoots: 'it swings past its target',
  settles: 'it settles at once',
  trembles: 'its motors tremble: the readings are too rough for so much',
  'stays off': 'it comes to rest beside its target',
};

const most = (values: readonly number[]): number | undefined =>
  values.length === 0 ? undefined : Math.max(...values);

const least = (values: readonly number[]): number | undefined =>
  values.length === 0 ? undefined : Math.min(...values);

/** Which damping is next: between the largest that swings and the smallest that trembles, doubled or halved until both are known. */
function nextDamping(looks: readonly DampingLook[], now: number, first: number): number | null {
  const swings = most(looks.flatMap((one) => (one.seen === 'overshoots' ? one.damping : [])));
  const trembles = least(looks.flatMap((one) => (one.seen === 'trembles' ? one.damping : [])));
  if (trembles === undefined) return now === 0 ? first : 2 * now;
  if (swings === undefined) return trembles / 2;
  const [low, high] = [Math.max(swings, first / 16), trembles];
  return high / low < MEET ? null : Math.sqrt(low * high);
}

const keep = (id: TunedId, { damping, integral }: DampingLook): string =>
  `Keep ${damping === 0 ? 'no damping' : dampingText(id, damping)} and ${integral === 0 ? 'no integral' : integralText(id, integral)}.`;

const INTEGRAL_ONLY =
  'An integral is only for an error that stays: it makes everything else swing more.';

/**
 * Damping is tuned second, with the gain that is good without it: it is raised until nothing swings past its target, and
 * taken back where the readings' roughness makes the motors tremble. An integral is added only where an error stays.
 *
 * It begins at gain · delay: a derivative tells the error so much ahead, which makes up for the delay of sensor, loop and
 * motors. The integral's reset time is ten delays, at least a second.
 *
 * Source: PD as prediction, and integral action: Åström and Murray, Feedback Systems, 2nd ed., 2021, sections 11.1, 11.3.
 * @param gain that was found good, SI
 * @param delayS of the robot with this controller
 * @param looks with this gain, in the order in which they were taken
 */
export function dampingStudy(
  id: TunedId,
  gain: number,
  delayS: number,
  looks: readonly DampingLook[],
): DampingStudy {
  const lateS = Math.max(delayS, LEAST_DELAY_S);
  const first = Math.abs(gain) * lateS;
  const last = looks.at(-1);
  if (last === undefined) {
    return {
      damping: first,
      integral: 0,
      isFound: false,
      sentences: {
        found: `${gainText(id, gain)} is good; damping comes second.`,
        means: `So much makes up for the ${number(1000 * lateS)} ms by which it is late.`,
        next: `Try a damping of ${dampingText(id, first)}.`,
      },
    };
  }
  const found = `With a damping of ${dampingText(id, last.damping)}${last.integral === 0 ? '' : ` and an integral of ${integralText(id, last.integral)}`} ${WORDS[last.seen]}.`;
  const { damping, integral } = last;
  const say = (means: string, next: string, change: Partial<DampingStudy>): DampingStudy => ({
    damping,
    integral,
    isFound: false,
    ...change,
    sentences: { found, means, next },
  });
  if (last.seen === 'settles')
    return say('More of it gains nothing.', keep(id, last), { isFound: true });
  if (last.seen === 'stays off') {
    const swings = least(
      looks.flatMap((one) =>
        one.seen === 'overshoots' && one.integral > integral && one.damping === damping
          ? [one.integral]
          : [],
      ),
    );
    const more =
      integral === 0
        ? Math.abs(gain) / Math.max(LEAST_RESET_S, SLOWER * lateS)
        : Math.min(2 * integral, Math.sqrt(integral * (swings ?? Infinity)));
    return say(INTEGRAL_ONLY, `Try an integral of ${integralText(id, more)}.`, { integral: more });
  }
  // An integral swings for two reasons: there is too much of it, or too little damping beside it. Turn about.
  const swung = looks.filter((one) => one.seen === 'overshoots' && one.integral > 0).length;
  if (last.seen === 'overshoots' && integral > 0 && swung % 2 === 1) {
    const less = integral / 2;
    return say(INTEGRAL_ONLY, `Try half of it: ${integralText(id, less)}.`, { integral: less });
  }
  const next = nextDamping(looks, damping, first);
  if (next === null) {
    const lower = 0.7 * gain;
    return say(
      'Between what swings and what trembles nothing is left.',
      `Take a gain of ${gainText(id, lower)} and begin again, or a smoother reading.`,
      {},
    );
  }
  const means =
    last.seen === 'overshoots'
      ? 'More damping takes the swing out.'
      : 'Damping follows every jump of the reading.';
  return say(means, `Try a damping of ${dampingText(id, next)}.`, { damping: next });
}
