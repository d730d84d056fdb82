import type { ThreeSentences } from '../gyro/still/stillSentence';
import { benchLength, errorLength } from '../text/quantities';
import { STRAIGHT_WAYS, type StraightOutcome, type StraightWay } from './straightStrategies';

/** How far off a drive ends: where it ends on the mean, and twice how far apart its ends lie. */
const offM = ({ sidewaysM, sidewaysSdM }: StraightOutcome): number =>
  Math.abs(sidewaysM) + 2 * sidewaysSdM;

const side = (metres: number): string => (metres > 0 ? 'left' : 'right');

/** Which way of driving straight suits a robot, in three sentences. */
export function straightStrategySentences(
  outcomes: readonly StraightOutcome[],
  distanceM: number,
): ThreeSentences {
  const of = (way: StraightWay['id'], mishap: StraightOutcome['mishap']) =>
    outcomes.find((one) => one.way === way && one.mishap === mishap);
  const worst = (way: StraightWay['id']) =>
    Math.max(...outcomes.filter((one) => one.way === way).map(offM));
  const [best] = STRAIGHT_WAYS.toSorted((a, b) => worst(a.id) - worst(b.id));
  const turned = [of('absolute', 'turned-off'), of('leg-start', 'turned-off')];
  const [absolute, zeroed] = turned.map((one) => errorLength(Math.abs(one?.sidewaysM ?? 0)));
  const weak = of('open-loop', 'weak-motor')?.sidewaysM ?? 0;
  return {
    found: `A robot that ${best?.title ?? ''} ends nearest to the plan, whatever happens on ${benchLength(distanceM)}: within ${errorLength(best === undefined ? 0 : worst(best.id))}.`,
    means: `What a turn left over, 2°, ends ${absolute ?? ''} beside the plan where the program holds the plan’s heading, and ${zeroed ?? ''} where it zeroes its sensor before each leg: then the error of the turn stays for good.`,
    next: `With nothing to keep it straight a motor that is 5 % weaker ends ${errorLength(Math.abs(weak))} to the ${side(weak)}. ${best?.id === 'absolute' ? 'Hold the plan’s heading, and zero the sensor only at the start of the run.' : 'Change the gains below, and see what they do.'}`,
  };
}
