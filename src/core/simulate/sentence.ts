import { clock, counted, millimetres, percent } from '../text/quantities';
import type { Forecast } from './summary';

/** Where runs stopped on the way, and at what. */
function stopSentence({ failures }: Forecast): string {
  const stopped = failures.reduce((sum, failure) => sum + failure.runs, 0);
  if (stopped === 0) return '';
  const at = failures.map(({ step, runs, atWall, wall }) => {
    const where = `${failures.length > 1 ? `${runs} ` : ''}at step ${step + 1}`;
    if (atWall === 0) return `${where}, its time was over`;
    const into = wall === null ? 'a wall' : `wall ${wall} of the table`;
    return `${where}, into ${into}${atWall < runs ? ', or its time was over' : ''}`;
  });
  return ` ${counted(stopped, 'run')} stopped on the way: ${at.join('; ')}.`;
}

/** What the simulated runs of a route say, in a sentence or two: the weakest mission first. */
export function forecastSentence(forecast: Forecast): string {
  const weakest = forecast.missions.toSorted((a, b) => a.chance.rate - b.chance.rate)[0];
  const radius = forecast.end.r95AboutTargetM;
  const end =
    radius === null
      ? ''
      : ` 95 of 100 end within ${millimetres(radius)} of the plan, after about ${clock(forecast.medianTimeS)}.`;
  const stops = stopSentence(forecast);
  if (weakest === undefined) return `No mission is worked on this route yet.${end}${stops}`;
  if (weakest.chance.rate >= 0.95) {
    return `Every mission works in at least ${percent(weakest.chance.rate)} of ${forecast.runs} simulated runs.${end}${stops}`;
  }
  return `The ${weakest.mission.name} is the weakest: it works in ${percent(weakest.chance.rate)} of ${forecast.runs} simulated runs.${end}${stops}`;
}
