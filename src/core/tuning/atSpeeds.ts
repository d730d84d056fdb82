import type { Robot } from '../robot/robot';
import type { TunedController } from './controllers/controller';
import { gainText, SHOWN } from '../control/tuned';
import { firstGain, type GoodGains } from './firstGain';

/** The gains that are good at a speed; null where none is. */
export interface AtSpeed {
  speed: number;
  /** "30 cm/s" */
  said: string;
  good: GoodGains | null;
}

export interface GainsAtSpeeds {
  speeds: AtSpeed[];
  /** What holds for all speeds, in a sentence or two. */
  sentence: string;
}

/**
 * What speed does to a gain: the gains that bring this robot back on the simulator, at slower and faster drives or
 * turns. Fast, a correction shifts the robot further before it is seen to (following), and a late sensor leaves more
 * to catch up with (turns); slow, the same gain may never come back.
 *
 * Source: the gains of `firstGain`, speed by speed.
 */
export function gainsAtSpeeds(controller: TunedController, robot: Robot): GainsAtSpeeds {
  const { speeds: tried, speedText } = SHOWN[controller.id];
  const speeds = tried.others.map((speed) => ({
    speed,
    said: speedText(speed),
    good: firstGain(controller, robot, speed),
  }));
  return { speeds, sentence: speedSentence(controller.id, speeds) };
}

/** What a gain is at a speed. */
export const verdictAt = ({ good }: AtSpeed, gain: number): string => {
  if (good === null) return 'no gain is';
  if (gain < good.from) return 'too weak';
  return gain > good.to ? 'too strong' : 'good';
};

export function speedSentence(id: TunedController['id'], speeds: readonly AtSpeed[]): string {
  const none = speeds.filter(({ good }) => good === null).map(({ said }) => said);
  const some = speeds.flatMap(({ good }) => good ?? []);
  const lacks = none.length === 0 ? '' : ` At ${none.join(', ')} no gain holds.`;
  if (some.length === 0) return `At none of these speeds a gain holds.`;
  const from = Math.max(...some.map((good) => good.from));
  const to = Math.min(...some.map((good) => good.to));
  const where = none.length === 0 ? 'every speed' : 'every other speed';
  return from <= to
    ? `${gainText(id, from)} to ${gainText(id, to)} is good at ${where} that was tried.${lacks}`
    : `No gain is good at ${where}: change it with the speed.${lacks}`;
}

/** From the slowest to the fastest of the speeds about one at which a gain is good; null where it is not good there. */
export function holdsBetween(
  speeds: readonly AtSpeed[],
  gain: number,
  about: number,
): { slowest: number; fastest: number } | null {
  const isGood = (at: AtSpeed) => verdictAt(at, Math.abs(gain)) === 'good';
  const slower = speeds.filter(({ speed }) => speed <= about).toReversed();
  const faster = speeds.filter(({ speed }) => speed >= about);
  const upTo = (tried: readonly AtSpeed[]) => {
    const end = tried.findIndex((at) => !isGood(at));
    return (end === -1 ? tried : tried.slice(0, end)).at(-1)?.speed;
  };
  const [slowest, fastest] = [upTo(slower), upTo(faster)];
  if (slowest === undefined && fastest === undefined) return null;
  return { slowest: slowest ?? about, fastest: fastest ?? about };
}
