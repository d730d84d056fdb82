import type { OwnProgram } from './ownProgram';

/** How much further the right wheel has gone than the left one since the motors' counts were noted. */
export const balanceFromHere = ({ rightWay, leftWay }: OwnProgram): string =>
  `${rightWay} - (${leftWay})`;

/** The same since the program began. */
export const balanceNow = ({ names, robot: { signs } }: OwnProgram): string => {
  const [left, right] = [names.left, names.right];
  return `${signs.rightMotor === 1 ? right : `-${right}`} ${signs.leftMotor === 1 ? '-' : '+'} ${left}`;
};
