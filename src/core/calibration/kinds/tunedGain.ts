import { benchLength, counted, number } from '../../text/quantities';
import type { TunedId } from '../../robot/tunedIds';
import { dampingText, gainText, integralText, SHOWN } from '../../control/tuned';
import type { CalibrationKindOf } from '../kind';
import type { RobotPart } from '../parts';
import type { FoundUnder } from '../../calibrationValues/gains/foundUnder';

interface TunedKind<V extends FoundUnder & { kind: string }> {
  kind: V['kind'];
  name: string;
  controller: TunedId;
  /** In SI. */
  gain(value: V): number;
  restsOn: readonly RobotPart[];
}

/** With what a gain was found good, in parts of a sentence. */
export function underText(id: TunedId, under: FoundUnder): string[] {
  const { speed, slowest, fastest, aheadM, delayS, damping, integral } = under;
  const { speedText } = SHOWN[id];
  const range =
    slowest !== null && fastest !== null && slowest < fastest
      ? ` (on the simulator good from ${speedText(slowest)} to ${speedText(fastest)})`
      : '';
  return [
    ...(damping === null || damping === 0 ? [] : [`damping ${dampingText(id, damping)}`]),
    ...(integral === null || integral === 0 ? [] : [`integral ${integralText(id, integral)}`]),
    ...(speed === null ? [] : [`at ${speedText(speed)}${range}`]),
    ...(aheadM === null ? [] : [`its sensor ${benchLength(aheadM)} ahead of the axle`]),
    ...(delayS === null ? [] : [`${number(1000 * delayS)} ms late`]),
  ];
}

/** So much slower and faster than it was tuned at a gain is taken to be good, where the simulator was not asked. */
const ABOUT_SHARE = 0.2;

/** Between which speeds it is taken to be good; null where nobody has said at which it was tuned. */
function tunedAt({ speed, slowest, fastest }: FoundUnder) {
  if (speed === null) return null;
  return {
    slowest: Math.min(slowest ?? (1 - ABOUT_SHARE) * speed, speed),
    fastest: Math.max(fastest ?? (1 + ABOUT_SHARE) * speed, speed),
  };
}

/** The gain of a controller as it was tuned on the robot, with what it was found good with. */
export const tunedGain = <V extends FoundUnder & { kind: string }>({
  kind,
  name,
  controller,
  gain,
  restsOn,
}: TunedKind<V>): CalibrationKindOf<V> => ({
  kind,
  name,
  unit: null,
  measuredBy: { procedure: 'gains', words: 'Tune the gain' },
  restsOn,
  ...(SHOWN[controller].holdsRoutes === undefined && { isOnlyTyped: true as const }),
  describe: (value) =>
    [
      gainText(controller, gain(value)),
      ...underText(controller, value),
      `found good by ${counted(value.looks, 'look')}`,
    ].join(', '),
  fit(robot, value) {
    const { measured } = robot;
    const at = tunedAt(value);
    return {
      ...robot,
      measured: {
        ...measured,
        gains: { ...measured.gains, [controller]: gain(value) },
        tunedAt: { ...measured.tunedAt, ...(at !== null && { [controller]: at }) },
      },
    };
  },
});
