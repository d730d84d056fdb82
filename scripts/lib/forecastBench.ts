import {
  EulerRobot,
  normal,
  type Body,
  type Program,
  type Truth,
} from '../../tests/support/eulerRobot';

export const DEG = Math.PI / 180;

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
export const RECORD = {
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
export const NOMINAL: Program = {
  wheelDiameterM: BODY.wheelDiameterM,
  trackM: BODY.trackM,
  coastM: 0,
  headingScale: 1,
};

/** Turns of the bench and of the routes. */
export const RATE = 90 * DEG;

/** One of the robots that a record may stand for, by what is suggested where nobody has measured. */
export function robotAt(random: () => number): Truth {
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

export const robotOf = (truth: Truth, program: Program, random: () => number) =>
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
  const trials = [45, -45, 90, -90, 180, -180].flatMap((commandedDeg) =>
    [0, 1].map(() => {
      const robot = robotOf(truth, NOMINAL, random);
      robot.turn(commandedDeg * DEG, RATE, 0);
      return {
        targetRad: commandedDeg * DEG,
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

export function benchOf(
  how: MeasuredHow,
  truth: Truth,
  random: () => number,
): Record<string, unknown> {
  if (how === 'nothing') return {};
  const straights = straightBench(truth, random);
  const turns = turnBench(truth, random, how !== 'turns with a protractor alone');
  return { straights, turns, ...(how === 'all' && { stillCheck: stillBench(truth, random) }) };
}
