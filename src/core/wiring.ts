import type { Route, Step } from './course/route';
import type { Robot, Unit, UnitRole } from './robot';
import { counted } from './text/quantities';

/** Ports to which more than one unit is said to be plugged. */
export function portsUsedTwice({ units }: Robot['build']): { port: string; labels: string[] }[] {
  const byPort = new Map<string, string[]>();
  for (const { port, label } of units) {
    if (port !== '') byPort.set(port, [...(byPort.get(port) ?? []), label]);
  }
  return [...byPort]
    .filter(([, labels]) => labels.length > 1)
    .map(([port, labels]) => ({ port, labels }));
}

/** Ports that units name and the controller does not have. */
export const unknownPorts = ({ ports, units }: Robot['build']): Unit[] =>
  units.filter(({ port }) => port !== '' && !ports.includes(port));

/** What a step cannot do without. */
const NEEDS: Record<Step['kind'], UnitRole[]> = {
  straight: ['left motor', 'right motor', 'heading sensor'],
  turn: ['left motor', 'right motor', 'heading sensor'],
  approach: ['left motor', 'right motor', 'heading sensor', 'distance sensor'],
  mark: [],
};

/** What the lack of a unit would cost. */
const COST: Partial<Record<UnitRole, string>> = {
  'heading sensor': 'turns and straight drives go by the encoders alone, and slip is not seen',
  'distance sensor': 'approaches fail; drive a set distance instead, or against a wall',
  'left motor': 'it does not drive',
  'right motor': 'it does not drive',
};

export interface Need {
  role: UnitRole;
  steps: number;
  plugged: boolean;
  sentence: string;
}

/** What the saved routes need, against what is plugged in; and what a missing unit costs. */
export function routeNeeds(routes: readonly Route[], build: Robot['build']): Need[] {
  const counts = new Map<UnitRole, number>();
  for (const route of routes) {
    for (const step of route.steps) {
      for (const role of NEEDS[step.kind]) counts.set(role, (counts.get(role) ?? 0) + 1);
    }
  }
  return [...counts].map(([role, steps]) => {
    const plugged = build.units.some((unit) => unit.role === role && unit.port !== '');
    return {
      role,
      steps,
      plugged,
      sentence: plugged
        ? `${counted(steps, 'step')}`
        : `${counted(steps, 'step')} ${steps === 1 ? 'needs' : 'need'} it; without it ${COST[role] ?? 'they cannot be done'}`,
    };
  });
}

/** "5 of 6 ports are used; the routes need 3 sensors." */
export function portSentence(build: Robot['build']): string {
  const used = new Set(build.units.map(({ port }) => port).filter((port) => port !== '')).size;
  const twice = portsUsedTwice(build);
  const clash =
    twice.length === 0
      ? ''
      : ` Port ${twice.map(({ port, labels }) => `${port} is used twice (${labels.join(', ')})`).join('; port ')}.`;
  return `${used} of ${counted(build.ports.length, 'port')} are used.${clash}`;
}
