import { SOURCES } from '../sources/sources';
import { clock, counted, errorLength, number } from '../text/quantities';
import type { Forecast } from './summary';

/** Where runs stopped on the way, and at what. */
function stopSentence({ failures }: Forecast): string {
  const stopped = failures.reduce((sum, failure) => sum + failure.runs, 0);
  if (stopped === 0) return '';
  const at = failures.map(({ step, runs, atWall, wall }) => {
    const where = `${failures.length > 1 ? `${runs} ` : ''}at step ${step}`;
    if (atWall === 0) return `${where}, its time was over`;
    const into = wall ?? 'a wall';
    return `${where}, into ${into}${atWall < runs ? ', or its time was over' : ''}`;
  });
  return ` ${counted(stopped, 'run')} stopped on the way: ${at.join('; ')}.`;
}

/** A source as it stands in "until the … has been measured". */
function untilMeasured(name: string | null): string {
  const source = SOURCES.find((one) => one.name === name);
  if (source === undefined) return '';
  return `, until the ${source.name} ${source.plural === true ? 'have' : 'has'} been measured`;
}

/** How often all works: of any robot like this one, and between what for this very one. */
function chanceSentence({ all, missions, measureFirst }: Forecast): string {
  const [only] = missions;
  if (all === null || only === undefined) return 'No mission is worked on this route yet.';
  const what = missions.length === 1 ? `The ${only.mission.name} works` : 'All missions work';
  const per100 = (share: number) => number(share * 100);
  // Where the range is narrow, measuring would hardly change it.
  const until = all.high - all.low > WIDE ? untilMeasured(measureFirst) : '';
  return `${what} in ${per100(all.rate)} of 100 runs; between ${per100(all.low)} and ${per100(all.high)}${until}.`;
}

/** What a route's forecast hangs on, for whoever asks what to measure next; null where measuring would change little. */
export function hangsOn({ all, measureFirst }: Forecast, routeName: string): string | null {
  const source = SOURCES.find((one) => one.name === measureFirst);
  if (source === undefined || all === null || all.high - all.low <= WIDE) return null;
  const until = `until the ${source.name} ${source.plural === true ? 'have' : 'has'} been measured`;
  return `The forecast of “${routeName}” hangs on it: ${number(all.low * 100)} to ${number(all.high * 100)} of 100 runs, ${until}.`;
}

/** A range of more than this is worth narrowing. */
const WIDE = 0.1;

function weakestSentence({ missions }: Forecast): string {
  const weakest = missions.toSorted((a, b) => a.chance.rate - b.chance.rate)[0];
  if (weakest === undefined || missions.length === 1 || weakest.chance.rate >= STRONG) return '';
  return ` The ${weakest.mission.name} is the weakest: ${number(weakest.chance.rate * 100)} of 100.`;
}

/** A mission that works in so many runs is not called weak. */
const STRONG = 0.95;

/** What the simulated runs of a route say, in a few sentences: how often all works, and what is weak. */
export function forecastSentence(forecast: Forecast): string {
  const radius = forecast.end.r95AboutTargetM;
  const end =
    radius === null
      ? ''
      : ` 95 of 100 end within ${errorLength(radius)} of the plan, after about ${clock(forecast.medianTimeS)}.`;
  return `${chanceSentence(forecast)}${weakestSentence(forecast)}${end}${stopSentence(forecast)}`;
}
