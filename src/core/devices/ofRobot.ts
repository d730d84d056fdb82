import { channelsOf, type ReadByKind } from './channels';
import { BUILT_IN } from './portClasses';
import type { Device, DeviceOf } from './device';

/** Whatever has a list of motors and sensors: a robot, before all. */
export interface WithDevices {
  units: Device[];
}

/** Whether it is of that kind. */
export const isA = <Kind extends Device['kind']>(
  unit: Device,
  kind: Kind,
): unit is DeviceOf<Kind> => unit.kind === kind;

/** The units of a kind that are plugged in, in the order of the record. */
export const devicesOf = <Kind extends Device['kind']>(
  { units }: WithDevices,
  kind: Kind,
): DeviceOf<Kind>[] => units.filter((unit) => isA(unit, kind)).filter(({ port }) => port !== null);

/** How the heading sensor behaves, or null for a robot that has none. */
export const headingOf = (robot: WithDevices): DeviceOf<'heading sensor'>['behaviour'] | null =>
  devicesOf(robot, 'heading sensor')[0]?.behaviour ?? null;

/** Half of the angle in which a sensor is said to look ahead, or to a side. */
const AHEAD_RAD = Math.PI / 4;

/** The id of the heading sensor that is used, or null. */
export const headingSensorOf = (robot: WithDevices): string | null =>
  devicesOf(robot, 'heading sensor')[0]?.id ?? null;

/** Whether the heading sensor is part of the controller: it has no cable that could be pulled. */
export const headingIsBuiltIn = (robot: WithDevices): boolean =>
  devicesOf(robot, 'heading sensor')[0]?.port === BUILT_IN;

/** The distance sensor that looks where the robot drives, or null. */
export const lookingAhead = (robot: WithDevices): DeviceOf<'distance sensor'> | null =>
  devicesOf(robot, 'distance sensor').find(({ facingRad }) => Math.abs(facingRad) < AHEAD_RAD) ??
  null;

/** The unit that steps read: of those that have the channel the one that looks where the robot drives, else the first. */
export function readBySteps(robot: WithDevices, { kind, channel }: ReadByKind): Device | null {
  const units: Device[] = devicesOf(robot, kind).filter((unit) =>
    channelsOf(unit).includes(channel),
  );
  return units.find(({ facingRad }) => Math.abs(facingRad) < AHEAD_RAD) ?? units[0] ?? null;
}

/** The distance sensor that looks to a side, or null. */
export const lookingSideways = (robot: WithDevices): DeviceOf<'distance sensor'> | null =>
  devicesOf(robot, 'distance sensor').find(
    ({ facingRad }) => Math.abs(Math.abs(facingRad) - Math.PI / 2) < AHEAD_RAD,
  ) ?? null;

/** The same robot with something else about the behaviour of one of its units. */
const withBehaviour = <R extends WithDevices, Kind extends Device['kind']>(
  robot: R,
  of: DeviceOf<Kind> | null | undefined,
  change: Partial<DeviceOf<Kind>['behaviour']>,
): R =>
  of === null || of === undefined
    ? robot
    : {
        ...robot,
        units: robot.units.map((unit) =>
          unit === of ? { ...unit, behaviour: { ...unit.behaviour, ...change } } : unit,
        ),
      };

/** The same robot with something else about a unit, the first of its kind where none is named; one without stays as it is. */
export const withDevice = <R extends WithDevices, Kind extends Device['kind']>(
  robot: R,
  kind: Kind,
  unitId: string | undefined,
  change: Partial<DeviceOf<Kind>['behaviour']>,
): R => {
  const units = devicesOf(robot, kind);
  const meant = unitId === undefined ? units[0] : units.find(({ id }) => id === unitId);
  return withBehaviour(robot, meant, change);
};

/** The same robot with something else about its heading sensor; one without stays as it is. */
export const withHeading = <R extends WithDevices>(
  robot: R,
  change: Partial<DeviceOf<'heading sensor'>['behaviour']>,
): R => withDevice(robot, 'heading sensor', undefined, change);

/** The same robot with something else about the distance sensor that looks ahead. */
export const withDistance = <R extends WithDevices>(
  robot: R,
  change: Partial<DeviceOf<'distance sensor'>['behaviour']>,
): R => withBehaviour(robot, lookingAhead(robot), change);
