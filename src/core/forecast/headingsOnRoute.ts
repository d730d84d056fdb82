import type { Route } from '../course/route';
import { turnsIn } from '../course/turnsIn';
import { prepare, type Headings, type Simulation } from './prepare';
import { simulateRun } from './run';
import { HEADING_RUNS } from './luck';
import { forecast, type Forecast } from './summary';
import { counted, errorLength, number } from '../text/quantities';
import { withScatter } from '../turns/zeroing';

/** A route, simulated with what its program does with the heading before each turn and drive. */
export interface HeadingsWay {
  headings: Headings;
  forecast: Forecast;
}

export const HEADING_WAYS: readonly Headings[] = ['counted on', 'zeroed each time'];

/** Both ways on one route and one robot, with the same luck. */
export const headingsOnRoute = (simulation: Omit<Simulation, 'headings'>): HeadingsWay[] =>
  HEADING_WAYS.map((headings) => {
    const way = { ...simulation, headings };
    const prepared = prepare(way);
    const runs = Array.from({ length: HEADING_RUNS }, (_, i) => simulateRun(way, prepared, i));
    return { headings, forecast: forecast(way, runs) };
  });

/** How wrong it faces at the end: on average, and how far apart. */
export const facesAtEnd = ({ end }: Forecast): string =>
  withScatter(end.biasHeadingRad ?? 0, end.sdHeadingRad ?? 0);

const worksIn = ({ all }: Forecast): string =>
  all === null ? '' : `all missions in ${number(100 * all.rate)} of 100 runs, `;

const inWords = ({ forecast: found }: HeadingsWay): string =>
  `${worksIn(found)}95 of 100 end within ${errorLength(found.end.r95AboutTargetM ?? 0)}, facing ${facesAtEnd(found)} wrong`;

/** Less than this apart in how often all works, or in where it ends, the two are called alike. */
const ALIKE_RATE = 0.1;
const ALIKE_FAR = 1.15;

/** Which way is the better one on this route, in a sentence. */
export function headingsSentence(ways: readonly HeadingsWay[], route: Route): string {
  const [on, zeroed] = ways;
  if (on === undefined || zeroed === undefined) return '';
  const farOf = ({ forecast: { end } }: HeadingsWay) => end.r95AboutTargetM ?? 0;
  const rate = ({ forecast: { all } }: HeadingsWay) => all?.rate ?? 0;
  const gained = rate(on) - rate(zeroed);
  const both = `Counted on: ${inWords(on)}. Zeroed before each turn and drive: ${inWords(zeroed)}.`;
  const better =
    Math.abs(gained) > ALIKE_RATE
      ? gained > 0
        ? on
        : zeroed
      : farOf(zeroed) > ALIKE_FAR * farOf(on)
        ? on
        : farOf(on) > ALIKE_FAR * farOf(zeroed)
          ? zeroed
          : null;
  const advice =
    better === null
      ? `It hardly matters on this route, with its ${counted(turnsIn(route), 'turn')}`
      : better === on
        ? 'On this route count headings on'
        : 'On this route zeroing does better: what is off in single turns happens to cancel out';
  return `${advice}. ${both}`;
}

/** Both ways, and what is said of them. */
export interface HeadingsTold {
  ways: HeadingsWay[];
  sentence: string;
  /** Of each way: how wrong the robot faces at the end. */
  faces: string[];
}

export function headingsTold(simulation: Omit<Simulation, 'headings'>): HeadingsTold {
  const ways = headingsOnRoute(simulation);
  const sentence = headingsSentence(ways, simulation.route);
  return { ways, sentence, faces: ways.map(({ forecast: found }) => facesAtEnd(found)) };
}
