import type { Robot } from './robot';
import { counted, errorLength, number, percent, shortNumber, benchSpeed } from '../text/quantities';
import type { DeviceKind } from '../devices/kind';
import { KINDS, type DeviceKindName } from '../devices/registry';
import { devicesOf } from '../devices/ofRobot';

const grows = (sign: 1 | -1): string => (sign > 0 ? 'grows' : 'shrinks');

/** Every part of a robot's record in one sentence, for where its values are folded away. */
export const SUMMARIES = {
  drive: ({ build, wheelDiameterM, trackM, gearRatio }: Robot): string =>
    `${build.drivenWheels === 2 ? 'Two' : 'Four'} driven wheels, ${errorLength(wheelDiameterM)}, ${errorLength(trackM)} apart${
      gearRatio === 1 ? '' : `, ${shortNumber(gearRatio, 3)} motor turns each`
    }.`,
  body: ({ body }: Robot): string =>
    `${errorLength(body.frontM + body.rearM)} long, ${errorLength(2 * body.halfWidthM)} wide.`,
  mountings: ({ mountings, mounted }: Robot): string =>
    mountings.length === 0
      ? 'Nothing yet.'
      : `${mountings.map(({ name }) => name).join(', ')}; on it now: ${mounted ?? 'nothing'}.`,
  motors: ({ motors, loopPeriodS }: Robot): string =>
    `Up to ${benchSpeed(motors.maxSpeedMPerS, -1)}, follow within ${number(motors.lagS * 1000)} ms; a command every ${number(loopPeriodS * 1000)} ms.`,
  directions: ({ signs, build }: Robot): string =>
    `Heading ${grows(signs.heading)} turning left; motors: left ${grows(signs.leftMotor)}, right ${grows(signs.rightMotor)} rolling forward. On a stop they ${build.onStop}.`,
  errors: ({ errors }: Robot): string =>
    [errors.wheelScaleError, errors.wheelDifference, errors.trackScaleError].every((e) => e === 0)
      ? `Nothing but slip, ${errorLength(errors.slipMPerSqrtM)} after 1 m.`
      : `Wheels ${percent(errors.wheelScaleError)}, right over left ${percent(errors.wheelDifference)}, track ${percent(errors.trackScaleError)}.`,
} as const;

/** "2 distance sensors, 1 light sensor": what is plugged in besides the driven wheels. */
export function sensorSentence(robot: Robot): string {
  const said = KINDS.flatMap((one: DeviceKind<DeviceKindName>) => {
    const count = one.isDriven === true ? 0 : devicesOf(robot, one.kind).length;
    return count === 0 ? [] : [counted(count, one.called ?? one.kind)];
  });
  return said.length === 0 ? 'No sensor yet.' : `${said.join(', ')}.`;
}

/** What the record does not say yet and the next procedures ask for, in sentences; by part. */
export function wantedOf({ build, units }: Robot): { directions: string[]; ports: string[] } {
  const loose = units.filter(({ port }) => port === '').length;
  return {
    directions:
      build.startZeroesHeading === 'not tested'
        ? ['Not tested yet: whether starting a program zeroes the heading.']
        : [],
    ports: loose > 0 ? [`${counted(loose, 'unit')} without a port in the record.`] : [],
  };
}
