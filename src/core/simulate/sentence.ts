import { clock, counted, millimetres, percent } from '../text/quantities';
import type { Forecast } from './summary';

/** What the simulated runs of a route say, in a sentence or two: the weakest mission first. */
export function forecastSentence(forecast: Forecast): string {
  const weakest = forecast.missions.toSorted((a, b) => a.chance.rate - b.chance.rate)[0];
  const radius = forecast.end.r95AboutTargetM;
  const end =
    radius === null
      ? ''
      : ` 95 of 100 end within ${millimetres(radius)} of the plan, after about ${clock(forecast.medianTimeS)}.`;
  const stopped = forecast.failures.reduce((sum, failure) => sum + failure.runs, 0);
  const stops = stopped === 0 ? '' : ` ${counted(stopped, 'run')} stopped on the way.`;
  if (weakest === undefined) return `No mission is worked on this route yet.${end}${stops}`;
  if (weakest.chance.rate >= 0.95) {
    return `Every mission works in at least ${percent(weakest.chance.rate)} of ${forecast.runs} simulated runs.${end}${stops}`;
  }
  return `The ${weakest.mission.name} is the weakest: it works in ${percent(weakest.chance.rate)} of ${forecast.runs} simulated runs.${end}${stops}`;
}
