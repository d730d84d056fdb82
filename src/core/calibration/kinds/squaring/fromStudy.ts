import { speedAtPercent } from '../../../program/speedTable';
import type { Robot } from '../../../robot/robot';
import type { SquaringStudy } from '../../../walls/squaringStudy';
import type { SquaringCalibration } from '../../../calibrationValues/squaring';

/** How fast a share of full power drives: as timed, or else in proportion to the top speed. */
const speedOfPower = ({ program, motors }: Robot, power: number): number =>
  speedAtPercent(program.speeds, 100 * power) ?? power * motors.maxSpeedMPerS;

/** What presses found, to be computed with: the power and the time that are advised. */
export function calibrationFromSquaring(
  { found, advice }: SquaringStudy,
  robot: Robot,
): SquaringCalibration | null {
  const pressed = found.powers.find(({ power }) => power === advice.power);
  if (pressed === undefined || advice.power <= 0) return null;
  return {
    kind: 'squaring',
    power: advice.power,
    speedMPerS: speedOfPower(robot, advice.power),
    pressS: advice.timeS,
    timeConstantS: pressed.timeConstantS,
    headingSdRad: found.residualSdRad,
    n: found.powers.reduce((sum, { n }) => sum + n, 0),
  };
}
