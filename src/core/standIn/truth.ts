import { radiansFromDegrees as deg } from '../geometry/angle';
import type { Pose } from '../geometry/pose';
import { robotSchema, type RawSigns, type Robot } from '../robot/robot';
import { drawsOf, randomStream, type RandomStream } from '../stats/random';
import { kindOf } from '../devices/registry';
import type { Device } from '../devices/device';

/** What is true of a stand-in robot and hidden from the procedures. */
export interface StandInTruth {
  robot: Robot;
  /** Which way its raw readings grow: by how it is built, whatever the record says. */
  signs: RawSigns;
  /** Spread of the drift after a power-up at rest, and its size after one in the hand. */
  stillDriftSdRadPerS: number;
  handDriftRadPerS: number;
  /** Drift that a cold sensor shows besides, and the time in which it dies away. */
  warmUpRadPerS: number;
  warmUpS: number;
  /** Where its start jig truly puts it, in the frame of the start. */
  jigAim: Pose;
  /** Chances that each way of starting the sensor anew works, held still. */
  reconnectWorks: number;
  reinitialiseWorks: number;
  fullVolts: number;
  /** With a weaker battery its distance sensors lose echoes. */
  echoesFailBelowV: number;
}

/** The first heading and distance sensor draw from the robot's own chance, every other unit from its own. */
function hiddenDevices(units: readonly Device[], random: RandomStream, seed: number): unknown[] {
  const first = ['heading sensor', 'distance sensor'].map((kind) =>
    units.find((unit) => unit.kind === kind),
  );
  return units.map((unit) => {
    const own = first.includes(unit) ? random : randomStream(seed, 0, `stand-in: ${unit.id}`);
    return {
      ...unit,
      behaviour: { ...unit.behaviour, ...kindOf(unit.kind).hidden?.(drawsOf(own)) },
    };
  });
}

/** At it a full share of power drives about as fast as the record has it. */
const USUAL_V = 8;

/** How its motors take power, and how fast a wall straightens it. */
function hiddenMotors({ motors }: Robot, random: RandomStream): Partial<Robot['measured']> {
  const { between } = drawsOf(random);
  const deadBand = between(0.04, 0.1);
  const fullMPerS = motors.maxSpeedMPerS * between(0.95, 1.05);
  const gainMPerSPerV = fullMPerS / (USUAL_V * (1 - deadBand));
  return {
    power: { gainMPerSPerV, deadBand, batteryV: USUAL_V, nowV: USUAL_V },
    squaring: {
      headingSdRad: 0,
      straightensPerM: between(12, 30),
      speedMPerS: fullMPerS / 2,
      pressS: 1,
    },
  };
}

/** A jig that was put up by eye. */
function hiddenJig(random: RandomStream): Pose {
  const { between, either } = drawsOf(random);
  return {
    xM: either() * between(0.001, 0.003),
    yM: either() * between(0.001, 0.003),
    headingRad: either() * deg(between(0.3, 0.9)),
  };
}

/**
 * The truths of a team's stand-in robot: the record of its robot with errors that follow from a seed.
 *
 * @param record what the team believes of the robot
 */
export function standInTruth(record: Robot, seed: number): StandInTruth {
  const random = randomStream(seed, 0, 'stand-in');
  const { between, either } = drawsOf(random);
  const robot = robotSchema.parse({
    ...record,
    measured: hiddenMotors(record, randomStream(seed, 0, 'stand-in: power and walls')),
    motors: { ...record.motors, lagS: between(0.03, 0.06), maxAccelerationMPerS2: between(2.5, 4) },
    units: hiddenDevices(record.units, random, seed),
    errors: {
      wheelScaleError: -between(0.004, 0.012),
      wheelDifference: either() * between(0.002, 0.007),
      trackScaleError: either() * between(0.008, 0.03),
      slipMPerSqrtM: 0.002,
    },
  });
  return {
    robot,
    signs: { heading: -1, leftMotor: 1, rightMotor: -1 },
    stillDriftSdRadPerS: deg(0.006),
    handDriftRadPerS: either() * deg(between(0.35, 0.9)),
    warmUpRadPerS: either() * deg(0.03),
    warmUpS: 60,
    jigAim: hiddenJig(randomStream(seed, 0, 'stand-in: jig')),
    reconnectWorks: 0.85,
    reinitialiseWorks: 0.8,
    fullVolts: between(8.15, 8.35),
    echoesFailBelowV: drawsOf(randomStream(seed, 0, 'stand-in: echoes')).between(7.3, 7.6),
  };
}
