import { catalog } from '../../src/core/catalog';
import {
  EulerRobot,
  generator,
  normal,
  type Body,
  type EulerStep,
  type Program,
  type Truth,
} from '../../tests/support/eulerRobot';

const DEG = Math.PI / 180;

/** How much of a robot was measured before its forecast. */
export const MEASURED = [
  'nothing',
  'straights and turns',
  'turns with a protractor alone',
  'all',
] as const;
export type MeasuredHow = (typeof MEASURED)[number];

const BODY: Body = {
  wheelDiameterM: 0.056,
  trackM: 0.13,
  lagS: 0.04,
  accelerationMPerS2: 1.5,
  latencyS: 0.01,
  quantumRad: 0.1 * DEG,
};
const RECORD = {
  wheelDiameterM: BODY.wheelDiameterM,
  trackM: BODY.trackM,
  encoderCountsPerMotorDegree: 2,
  motors: { lagS: BODY.lagS, maxAccelerationMPerS2: BODY.accelerationMPerS2 },
  units: [
    { kind: 'left motor', id: 'L', label: 'L', port: 'A' },
    { kind: 'right motor', id: 'R', label: 'R', port: 'B' },
    {
      kind: 'heading sensor',
      id: 'H',
      label: 'H',
      port: 'C',
      behaviour: { latencyS: BODY.latencyS, quantumRad: BODY.quantumRad },
    },
  ],
};
const NOMINAL: Program = {
  wheelDiameterM: BODY.wheelDiameterM,
  trackM: BODY.trackM,
  coastM: 0,
  headingScale: 1,
};

const RATE = 90 * DEG;
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

/** One of the robots that a record may stand for, by what is suggested where nobody has measured. */
function robotAt(random: () => number): Truth {
  const z = () => normal(random);
  return {
    wheel: 0.01 * z(),
    wheelsDiffer: 0.5 * DEG * 0.13 * z(),
    track: 0.02 * z(),
    gyroScale: 0.01 * z(),
    driftRadPerS: 0.02 * DEG * z(),
    walkRadPerSqrtS: 0.00017,
    lateS: (2 / 90) * z(),
    turnSdRad: 0.3 * DEG,
    coastM: 0.003 * z(),
    driveSdM: 0.0015,
    jigAcrossM: 0.001 * z(),
    jigRad: 0.3 * DEG * z(),
  };
}

const robotOf = (truth: Truth, program: Program, random: () => number) =>
  new EulerRobot(BODY, truth, program, random);
const rounded = (value: number, step: number) => step * Math.round(value / step);

/** Twelve drives on a tape that is read to millimetres. */
function straightBench(truth: Truth, random: () => number) {
  const trials = [0.3, 0.6, 1, 1.5].flatMap((commandedM) =>
    [0, 1, 2].map(() => {
      const robot = robotOf(truth, NOMINAL, random);
      robot.straight(commandedM, 0.3, 1.2, 0);
      return { commandedM, actualM: rounded(robot.x, 0.001), speedMPerS: 0.3 };
    }),
  );
  return { trials };
}

/** Turns to either side beside a protractor that is read to half a degree, with an error of its own. */
function turnBench(truth: Truth, random: () => number, withReadings: boolean) {
  const trials = [45, -45, 90, -90, 180, -180].flatMap((toldDeg) =>
    [0, 1].map(() => {
      const robot = robotOf(truth, NOMINAL, random);
      robot.turn(toldDeg * DEG, RATE, 0);
      return {
        targetRad: toldDeg * DEG,
        actualRad: rounded(robot.heading + 0.3 * DEG * normal(random), 0.5 * DEG),
        rateRadPerS: RATE,
        ...(withReadings && { readingRad: robot.reading() }),
      };
    }),
  );
  return { trials, wantedRad: [90 * DEG, -90 * DEG] };
}

function stillBench(truth: Truth, random: () => number) {
  let walk = 0;
  const samples = Array.from({ length: 2400 }, (_, i) => {
    walk += truth.walkRadPerSqrtS * Math.sqrt(0.05) * normal(random);
    return {
      tS: i * 0.05,
      headingRad: rounded(truth.driftRadPerS * i * 0.05 + walk, BODY.quantumRad),
    };
  });
  return { samples, runDurationS: 30, toleranceRad: 2 * DEG };
}

function benchOf(how: MeasuredHow, truth: Truth, random: () => number): Record<string, unknown> {
  if (how === 'nothing') return {};
  const straights = straightBench(truth, random);
  const turns = turnBench(truth, random, how !== 'turns with a protractor alone');
  return { straights, turns, ...(how === 'all' && { stillCheck: stillBench(truth, random) }) };
}

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

const median = (values: number[]) => values.toSorted((a, b) => a - b)[values.length >> 1] ?? NaN;

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
      robot: RECORD,
      table: table(route.end),
      route: {
        start: { xM: 0.5, yM: 0.5, headingRad: 0 },
        placement: PLACEMENT,
        steps: [...route.steps, { kind: 'mark', missionId: 'm', dwellS: 0.1 }],
      },
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
