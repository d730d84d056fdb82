import { routeSchema } from '../../src/core/course/route';
import { prepare } from '../../src/core/forecast/prepare';
import { simulateRange } from '../../src/core/forecast/simulateRange';
import { pipit, ROUTE_VERSIONS, winterGarden } from '../../src/server/demo/scenario';

/** Runs that are timed together, and how often; the best of them was disturbed least. */
const RUNS = 60;
const TIMES = 20;
/** Runs before the measured ones, until the engine has compiled what is used often. */
const WARM_UP = 300;

/** The demo's route, driven; prints the microseconds that a simulated second takes. */
const route = routeSchema.parse(ROUTE_VERSIONS[2]?.route);
const simulation = { robot: pipit, table: winterGarden, route, seed: 1 };
const prepared = prepare(simulation);
simulateRange(simulation, 0, WARM_UP, () => undefined, prepared);

function usPerSecond(): number {
  let simulatedS = 0;
  const started = performance.now();
  simulateRange(simulation, 0, RUNS, (_, { end }) => (simulatedS += end.timeS), prepared);
  return (1000 * (performance.now() - started)) / simulatedS;
}
console.log(Math.min(...Array.from({ length: TIMES }, usPerSecond)).toFixed(3));
