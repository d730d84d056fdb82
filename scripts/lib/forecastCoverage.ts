import { catalog } from '../../src/core/procedures/catalog';
import {
  generator,
  normal,
  type EulerStep,
  type Program,
  type Truth,
} from '../../tests/support/eulerRobot';
import { benchOf, DEG, RATE, RECORD, robotAt, robotOf, type MeasuredHow } from './forecastBench';

const straight = (distanceM: number) =>
  ({ kind: 'straight', distanceM, speedMPerS: 0.3, gainMPerSPerRad: 1.2 }) as const;
const turn = (toDeg: number) =>
  ({ kind: 'turn', mode: 'to', angleRad: toDeg * DEG, rateRadPerS: RATE, leadRad: 0 }) as const;
type RouteStep = ReturnType<typeof straight> | ReturnType<typeof turn>;

/** Routes from (0.5, 0.5), facing along the table; the mission stands at the planned end. */
export const ROUTES: Record<string, { steps: RouteStep[]; end: [number, number, number] }> = {
  'L and back': {
    steps: [straight(0.8), turn(90), straight(0.6), turn(180), straight(0.5)],
    end: [0.8, 1.1, 180],
  },
  'two turns, then the mission': {
    steps: [straight(0.5), turn(-90), turn(0)],
    end: [1, 0.5, 0],
  },
  'steps up': {
    steps: [
      straight(0.4),
      turn(90),
      straight(0.3),
      turn(0),
      straight(0.5),
      turn(-90),
      straight(0.2),
    ],
    end: [1.4, 0.6, -90],
  },
};

const table = ([xM, yM, headingDeg]: [number, number, number]) => ({
  widthM: 3,
  heightM: 2,
  missions: [
    {
      id: 'm',
      name: 'sundial',
      pose: { xM, yM, headingRad: headingDeg * DEG },
      window: { alongM: 0.012, acrossM: 0.012, headingRad: 2 * DEG },
      points: 20,
    },
  ],
});

interface Interval {
  low95: number;
  high95: number;
}
interface Answer {
  program: Program;
  route: { steps: (RouteStep & { leadRad?: number })[] };
  chance: (Interval & { value: number })[];
  end: Record<'xM' | 'yM' | 'headingRad', Interval & { mean: number; sdWithin: number }>;
}

const asEuler = (step: RouteStep): EulerStep =>
  step.kind === 'straight'
    ? { ...step, gain: step.gainMPerSPerRad }
    : { ...step, toRad: step.angleRad };

/** Placing by hand, along, across (m) and heading (rad). */
const PLACEMENT = { alongSdM: 0.002, acrossSdM: 0.002, headingSdRad: 0.3 * DEG };

/** The route as `calc forecast` is asked about it. */
export const askedOf = (route: (typeof ROUTES)[string]) => ({
  robot: RECORD,
  table: table(route.end),
  route: {
    start: { xM: 0.5, yM: 0.5, headingRad: 0 },
    placement: PLACEMENT,
    steps: [...route.steps, { kind: 'mark', missionId: 'm', dwellS: 0.1 }],
  },
});

/** Where a robot's runs truly end, and how often its mission works: by the other simulator. */
function truly(
  answer: Answer,
  truth: Truth,
  end: [number, number, number],
  runs: number,
  random: () => number,
) {
  const steps = answer.route.steps.map(asEuler);
  const sums = { xM: 0, yM: 0, headingRad: 0, worked: 0 };
  for (let run = 0; run < runs; run += 1) {
    const robot = robotOf(truth, answer.program, random);
    robot.x = 0.5 + PLACEMENT.alongSdM * normal(random);
    robot.y = 0.5 + truth.jigAcrossM + PLACEMENT.acrossSdM * normal(random);
    const startRad = truth.jigRad + PLACEMENT.headingSdRad * normal(random);
    const [x, y] = [robot.x, robot.y];
    robot.x = 0;
    robot.y = 0;
    robot.drive(steps, 0);
    const [c, s] = [Math.cos(startRad), Math.sin(startRad)];
    const dx = x + robot.x * c - robot.y * s - end[0];
    const dy = y + robot.x * s + robot.y * c - end[1];
    const raw = robot.heading + startRad - end[2] * DEG;
    const turned = raw - 2 * Math.PI * Math.round(raw / (2 * Math.PI));
    const [ce, se] = [Math.cos(end[2] * DEG), Math.sin(end[2] * DEG)];
    const isIn =
      Math.abs(dx * ce + dy * se) <= 0.012 &&
      Math.abs(dy * ce - dx * se) <= 0.012 &&
      Math.abs(turned) <= 2 * DEG;
    sums.xM += dx / runs;
    sums.yM += dy / runs;
    sums.headingRad += turned / runs;
    sums.worked += Number(isIn) / runs;
  }
  return sums;
}

export interface ForecastHeld {
  /** Shares of robots whose own mean or chance lies within the interval that was foretold. */
  xM: number;
  yM: number;
  headingRad: number;
  chance: number;
  /** Of those with a chance between .1 and .9. */
  chanceInside: number;
  inside: number;
  /** Median widths. */
  widths: [number, number, number, number];
}

export const median = (values: number[]) =>
  values.toSorted((a, b) => a - b)[values.length >> 1] ?? NaN;

/** How often forecasts hold the truth: robots drawn from what is suggested, measured so far, judged by the other simulator. */
export function forecastCoverage(
  how: MeasuredHow,
  routeName: string,
  robots: number,
  seed: number,
  runs = 250,
): ForecastHeld {
  const procedure = catalog.find(({ name }) => name === 'forecast');
  const route = ROUTES[routeName];
  if (procedure === undefined || route === undefined) throw new Error(routeName);
  const held = { xM: 0, yM: 0, headingRad: 0, chance: 0, chanceInside: 0, inside: 0 };
  const widths: Record<'xM' | 'yM' | 'headingRad' | 'chance', number[]> = {
    xM: [],
    yM: [],
    headingRad: [],
    chance: [],
  };
  for (let i = 0; i < robots; i += 1) {
    const random = generator(seed * 100_003 + i * 7919);
    const truth = robotAt(random);
    const answer = procedure.run({
      ...askedOf(route),
      bench: benchOf(how, truth, random),
      runs,
      seed: i + 1,
    }) as Answer;
    answer.route.steps = answer.route.steps.slice(0, -1);
    const found = truly(answer, truth, route.end, runs, random);
    for (const of of ['xM', 'yM', 'headingRad'] as const) {
      const { low95, high95 } = answer.end[of];
      held[of] += Number(found[of] >= low95 && found[of] <= high95) / robots;
      widths[of].push(high95 - low95);
    }
    const [chance] = answer.chance;
    if (chance === undefined) continue;
    const isHeld = found.worked >= chance.low95 - 1e-9 && found.worked <= chance.high95 + 1e-9;
    held.chance += Number(isHeld) / robots;
    widths.chance.push(chance.high95 - chance.low95);
    if (found.worked > 0.1 && found.worked < 0.9) {
      held.inside += 1;
      held.chanceInside += Number(isHeld);
    }
  }
  return {
    ...held,
    chanceInside: held.chanceInside / Math.max(1, held.inside),
    widths: [
      median(widths.xM),
      median(widths.yM),
      median(widths.headingRad) / DEG,
      median(widths.chance),
    ],
  };
}
