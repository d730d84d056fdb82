import type { Route } from './route';
import { numbered } from '../steps/tree';
import { neededBy } from '../steps/neededBy';
import type { Robot } from '../robot/robot';
import { counted, degrees } from '../text/quantities';
import { devicesOf } from '../devices/ofRobot';
import { BUILT_IN } from '../devices/portClasses';
import { kindOf, type DeviceKindName } from '../devices/registry';
import type { Device } from '../devices/device';

type Wired = Pick<Robot, 'units' | 'build'>;

/** Whether it is noted in which port a unit sits. */
const hasPort = ({ port }: Device): boolean => port !== null && port !== '' && port !== BUILT_IN;

/** Ports to which more than one unit is said to be plugged. */
export function portsUsedTwice({ units }: Wired): { port: string; labels: string[] }[] {
  const byPort = new Map<string, string[]>();
  for (const unit of units.filter(hasPort)) {
    const port = unit.port ?? '';
    byPort.set(port, [...(byPort.get(port) ?? []), unit.label]);
  }
  return [...byPort]
    .filter(([port, labels]) => labels.length > 1 && !isSharedBus(units, port))
    .map(([port, labels]) => ({ port, labels }));
}

const sameBus = (units: readonly Device[], port: string): Device[] =>
  units.filter((unit) => unit.port === port && unit.connection === 'bus');

/** Whether all that sits on a port shares it as a bus, each under an address of its own. */
function isSharedBus(units: readonly Device[], port: string): boolean {
  const own = sameBus(units, port);
  const addresses = new Set(own.map(({ address }) => asAddress(address)));
  return (
    own.length === units.filter((unit) => unit.port === port).length &&
    addresses.size === own.length &&
    !addresses.has('')
  );
}

/** An address as it is compared: 0x29 and 29h are written in many ways. */
const asAddress = (address: string): string =>
  address
    .trim()
    .toLowerCase()
    .replace(/^0x|h$/g, '');

/** Devices on one bus that answer to the same address: neither is read rightly. */
function addressesUsedTwice({ units }: Wired): string[] {
  const ports = [...new Set(units.filter(hasPort).map(({ port }) => port ?? ''))];
  return ports.flatMap((port) => {
    const own = sameBus(units, port).filter(({ address }) => address.trim() !== '');
    const addresses = [...new Set(own.map(({ address }) => asAddress(address)))];
    return addresses
      .map((one) => own.filter(({ address }) => asAddress(address) === one))
      .filter((some) => some.length > 1)
      .map(
        (some) =>
          `${some.map(({ label }) => label).join(' and ')} have the same address, ${some[0]?.address.trim() ?? ''}, on bus ${port}: neither is read rightly. Give one another address, or put it on another bus.`,
      );
  });
}

/** Names by which programs call more than one unit that is in use. */
function namesUsedTwice({ units }: Wired): { name: string; labels: string[] }[] {
  const byName = new Map<string, string[]>();
  for (const { programName, label, port } of units) {
    const name = programName.trim();
    if (port === null || name === '') continue;
    byName.set(name, [...(byName.get(name) ?? []), label]);
  }
  return [...byName]
    .filter(([, labels]) => labels.length > 1)
    .map(([name, labels]) => ({ name, labels }));
}

/** And what is said of them. */
export const sameNames = (robot: Wired): string[] =>
  namesUsedTwice(robot).map(
    ({ name, labels }) =>
      `Programs call ${labels.join(' and ')} by the same name, “${name}”: give each its own.`,
  );

/** What is wrong with ports and names, a sentence each. */
export const wiringProblems = (robot: Wired): string[] => [
  ...misplugged(robot),
  ...sameNames(robot),
  ...addressesUsedTwice(robot),
];

/** Which way a unit looks, in words; empty where it matters not. */
export function looksText({ kind, facingRad }: Device): string {
  if (!kindOf(kind).faces) return '';
  const size = Math.abs(facingRad);
  if (size < AHEAD_RAD) return 'ahead';
  if (Math.PI - size < AHEAD_RAD) return 'back';
  const side = facingRad > 0 ? 'left' : 'right';
  return Math.abs(size - Math.PI / 2) < AHEAD_RAD ? side : `${degrees(size, 0)} to the ${side}`;
}

/** Within a few degrees nobody says how many. */
const AHEAD_RAD = 0.09;

/** What is said of a unit that cannot sit where the record says it does. */
function misplugged({ units, build }: Wired): string[] {
  return units.filter(hasPort).flatMap((unit) => {
    const port = build.ports.find(({ name }) => name === unit.port);
    if (port === undefined) {
      return [`${unit.label} is on port ${unit.port ?? ''}: the controller has no such port.`];
    }
    if (port.takes.length === 0 || port.takes.includes(unit.connection)) return [];
    return [
      `${unit.label} (${unit.connection}) is on port ${port.name}, which takes ${port.takes.join(' or ')}.`,
    ];
  });
}

export interface Need {
  kind: DeviceKindName;
  steps: number;
  plugged: boolean;
  sentence: string;
}

/** What the saved routes need, against what is plugged in; and what a missing unit costs. */
export function routeNeeds(routes: readonly Route[], robot: Wired): Need[] {
  const counts = new Map<DeviceKindName, number>();
  for (const route of routes) {
    for (const { step } of numbered(route.steps)) {
      for (const kind of neededBy(step)) counts.set(kind, (counts.get(kind) ?? 0) + 1);
    }
  }
  return [...counts].map(([kind, steps]) => {
    const plugged = devicesOf(robot, kind).length > 0;
    const lack = kindOf(kind).lack ?? 'they cannot be done';
    return {
      kind,
      steps,
      plugged,
      sentence: plugged
        ? counted(steps, 'step')
        : `${counted(steps, 'step')} ${steps === 1 ? 'needs' : 'need'} it; without it ${lack}`,
    };
  });
}

/** "5 of 6 ports are used." */
export function portSentence(robot: Wired): string {
  const used = new Set(robot.units.filter(hasPort).map(({ port }) => port)).size;
  const twice = portsUsedTwice(robot);
  const clash =
    twice.length === 0
      ? ''
      : ` Port ${twice.map(({ port, labels }) => `${port} is used twice (${labels.join(', ')})`).join('; port ')}.`;
  return `${used} of ${counted(robot.build.ports.length, 'port')} are used.${clash}`;
}
