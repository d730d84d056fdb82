import type { Device } from './device';

/** The units of a stock that are on none of the robots: known by their id, whatever they are called there. */
export function availableDevices<R extends { unit: Device }>(
  stock: readonly R[],
  robots: readonly { units: readonly Device[] }[],
): R[] {
  const onRobots = new Set(robots.flatMap(({ units }) => units.map(({ id }) => id)));
  return stock.filter(({ unit }) => !onRobots.has(unit.id));
}
