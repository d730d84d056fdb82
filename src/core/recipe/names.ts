import type { Device } from '../devices/device';
import { BUILT_IN } from '../devices/portClasses';
import { devicesOf } from '../devices/ofRobot';
import type { Robot } from '../robot/robot';

/** What is plugged in, as its lines call it, and where. */
export interface Plugged {
  unit: Device;
  name: string;
}

const ownName = ({ label, programName }: Device): string =>
  programName.trim() === '' ? label : programName.trim();

/** The motors and sensors that programs can name; two of one name are told apart by their ports. */
export function pluggedIn(robot: Robot): Plugged[] {
  const units = robot.units.filter(({ port }) => port !== null);
  return units.map((unit) => {
    const name = ownName(unit);
    const isTwice = units.filter((one) => ownName(one) === name).length > 1;
    return { unit, name: isTwice ? `${name} ${unit.port ?? ''}` : name };
  });
}

/** What lines call a unit. */
export const nameOf = (robot: Robot, unit: Device): string =>
  pluggedIn(robot).find((one) => one.unit.id === unit.id)?.name ?? unit.label;

/** What lines call both motors. */
export function motorNames(robot: Robot): { left: string; right: string } {
  const [left] = devicesOf(robot, 'left motor');
  const [right] = devicesOf(robot, 'right motor');
  return {
    left: left === undefined ? 'left motor' : nameOf(robot, left),
    right: right === undefined ? 'right motor' : nameOf(robot, right),
  };
}

/** Where it is plugged in, for the list that is ticked off. */
export const portText = ({ port }: Device): string =>
  port === BUILT_IN ? 'built in' : (port ?? '');
