import type { Unit } from './unit';

/** The units of a stock that are on none of the robots: known by their id, whatever they are called there. */
export function availableUnits<R extends { unit: Unit }>(
  stock: readonly R[],
  robots: readonly { units: readonly Unit[] }[],
): R[] {
  const onRobots = new Set(robots.flatMap(({ units }) => units.map(({ id }) => id)));
  return stock.filter(({ unit }) => !onRobots.has(unit.id));
}
