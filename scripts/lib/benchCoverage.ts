import { speedTable } from '../../src/core/drive/speedTable';
import { sidewaysModel } from '../../src/core/drive/sidewaysModel';
import { straightModel } from '../../src/core/drive/straightModel';
import { rangeCalibration } from '../../src/core/ranging/rangeCalibration';
import { mountAngle } from '../../src/core/ranging/mountAngle';
import { voltCurve } from '../../src/core/ranging/voltCurve';
import { distanceAtVolts, voltsAt } from '../../src/core/sensing/voltLaw';
import { gauge } from '../../src/core/ranging/gauge';
import { rankStops } from '../../src/core/ranging/stopKinds';
import { stopModel } from '../../src/core/ranging/stopModel';
import { squaring } from '../../src/core/walls/squaring';
import { randomStream, type RandomStream } from '../../src/core/stats/random';

/** An interval, and the truth that it should hold. */
interface Held {
  low: number;
  truth: number;
  high: number;
}

const heldBetween = (range: [number, number] | undefined, truth: number): Held => ({
  low: range?.[0] ?? NaN,
  truth,
  high: range?.[1] ?? NaN,
});

/** A procedure whose benches are made up from a known truth. */
export interface BenchKind {
  name: string;
  /** A bench measured anew; what of it should hold together. */
  measure(random: RandomStream): Held[];
}

const times = <T>(n: number, values: readonly T[]): T[] =>
  Array<readonly T[]>(n).fill(values).flat();
const between = (random: RandomStream, low: number, high: number) =>
  low + (high - low) * random.uniform();

function straightBench(random: RandomStream) {
  const [scale, coast, heading, trim] = [
    between(random, 0.95, 1.05),
    between(random, -0.005, 0.01),
    between(random, -0.02, 0.02),
    between(random, -0.02, 0.02),
  ];
  const trials = times(3, [0.3, 0.6, 1, 1.5]).map((commandedM) => {
    const actualM = scale * commandedM + coast + 0.002 * random.normal();
    return {
      commandedM,
      actualM,
      sidewaysM: heading * actualM + (trim * actualM ** 2) / 2 + 0.002 * random.normal(),
      speedMPerS: 0.3,
    };
  });
  return { scale, coast, heading, trim, model: straightModel(trials) };
}

const held = (of: { low95: number; high95: number } | undefined, truth: number): Held => ({
  low: of?.low95 ?? Number.NaN,
  truth,
  high: of?.high95 ?? Number.NaN,
});

export const BENCH_KINDS: BenchKind[] = [
  {
    name: 'straight drives: wheels',
    measure(random) {
      const { model, scale } = straightBench(random);
      return [held(model?.scaleFactor, scale)];
    },
  },
  {
    name: 'straight drives: coasting',
    measure(random) {
      const { model, coast } = straightBench(random);
      return [held(model?.coastM, coast)];
    },
  },
  {
    name: 'straight drives: start heading',
    measure(random) {
      const { model, heading } = straightBench(random);
      return [held(model?.sideways?.startHeadingErrorRad, heading)];
    },
  },
  {
    name: 'straight drives: pull',
    measure(random) {
      const { model, trim } = straightBench(random);
      return [held(model?.sideways?.trimRadPerM, trim)];
    },
  },
  {
    name: 'straight drives of one distance: pull, by the offset and how far it turned',
    measure(random) {
      const [heading, trim] = [between(random, -0.02, 0.02), between(random, -0.02, 0.02)];
      const trials = times(6, [1]).map((actualM) => ({
        actualM,
        sidewaysM: heading * actualM + (trim * actualM ** 2) / 2 + 0.003 * random.normal(),
        headingChangeRad: trim * actualM + 0.008 * random.normal(),
      }));
      return [held(sidewaysModel(trials)?.trimRadPerM, trim)];
    },
  },
  {
    name: 'distance sensors: offset and scale together, noise growing with the distance',
    measure(random) {
      const [offsetM, scale] = [between(random, -0.02, 0.02), between(random, 0.97, 1.03)];
      const readings = times(6, [0.05, 0.1, 0.2, 0.3, 0.5, 0.8, 1.2, 1.6]).map((trueM) => ({
        unit: 'D',
        trueM,
        readingM: offsetM + scale * trueM + (0.001 + 0.004 * trueM) * random.normal(),
      }));
      const unit = rangeCalibration(readings, 0.01)?.units[0];
      return [
        { low: unit?.offsetLow95M ?? NaN, truth: offsetM, high: unit?.offsetHigh95M ?? NaN },
        { low: unit?.scaleLow95 ?? NaN, truth: scale, high: unit?.scaleHigh95 ?? NaN },
      ];
    },
  },
  {
    name: 'speed table: speed at half power',
    measure(random) {
      const [gain, dead] = [between(random, 0.06, 0.1), between(random, 0.02, 0.1)];
      const drives = times(2, [0.15, 0.25, 0.4, 0.6, 0.8]).map((command) => {
        const batteryV = between(random, 7, 8.3);
        const speed = batteryV * (gain * (command - dead) + 0.0006 * random.normal());
        return { command, batteryV, distanceM: Math.max(0, 2 * speed), timeS: 2 };
      });
      const at = speedTable(drives)?.at(0.5, 7.5);
      return [held(at, gain * (0.5 - dead) * 7.5)];
    },
  },
  {
    name: 'speed table: dead band',
    measure(random) {
      const [gain, dead] = [between(random, 0.06, 0.1), between(random, 0.04, 0.1)];
      const drives = times(2, [0.15, 0.25, 0.4, 0.6, 0.8]).map((command) => ({
        command,
        batteryV: 7.6,
        distanceM: Math.max(0, 2 * 7.6 * (gain * (command - dead) + 0.0006 * random.normal())),
        timeS: 2,
      }));
      const found = speedTable(drives);
      return [
        { low: found?.deadBandLow95 ?? NaN, truth: dead, high: found?.deadBandHigh95 ?? NaN },
      ];
    },
  },
  {
    name: 'stops: lag',
    measure(random) {
      const [lagS, braking] = [between(random, 0.06, 0.12), between(random, 1.5, 3)];
      const trials = times(4, [0.1, 0.2, 0.3, 0.45]).map((speedMPerS) => ({
        speedMPerS,
        thresholdM: 0.2,
        stopM: 0.2 - speedMPerS * lagS - speedMPerS ** 2 / (2 * braking) + 0.002 * random.normal(),
      }));
      const found = stopModel(trials);
      return [{ low: found?.lagLow95S ?? NaN, truth: lagS, high: found?.lagHigh95S ?? NaN }];
    },
  },
  {
    name: 'squaring: how fast',
    measure(random) {
      const perPower = between(random, 0.1, 0.25);
      const trials = times(3, [0.2, 0.35, 0.5]).flatMap((power) =>
        [0.4, 0.8].map((timeS) => {
          const beforeRad = between(random, 0.03, 0.1) * (random.uniform() < 0.5 ? -1 : 1);
          const left = Math.exp((-timeS * power) / perPower);
          return { power, timeS, beforeRad, afterRad: beforeRad * left + 0.004 * random.normal() };
        }),
      );
      const [found] = squaring(trials)?.powers ?? [];
      return [held(found && { low95: found.low95, high95: found.high95 }, perPower / 0.2)];
    },
  },
  {
    name: 'who measures: the same person again',
    measure: (random) => {
      const found = gaugeBench(random, 0.001, 0.0008);
      return [heldBetween(found?.repeatability95M, 0.001)];
    },
  },
  {
    name: 'who measures: all together',
    measure: (random) => {
      const found = gaugeBench(random, 0.001, 0.0008);
      return [heldBetween(found?.gauge95M, Math.hypot(0.001, 0.0008))];
    },
  },
  {
    name: 'kinds of stop: scatter',
    measure(random) {
      const sdM = between(random, 0.002, 0.006);
      const stops = times(3, [0.1, 0.2, 0.3]).map((speedMPerS) => ({
        by: 'line' as const,
        speedMPerS,
        thresholdM: 0,
        stopM: -0.08 * speedMPerS - sdM * random.normal(),
      }));
      const [found] = rankStops(stops);
      return [{ low: found?.sdLow95M ?? NaN, truth: sdM, high: found?.sdHigh95M ?? NaN }];
    },
  },
  {
    name: 'sensors that show volts: the distance at a voltage',
    measure(random) {
      const law = {
        baseV: between(random, 0, 0.3),
        scaleVM: between(random, 0.15, 0.3),
        shiftM: between(random, 0, 0.05),
      };
      const readings = times(6, [0.1, 0.15, 0.2, 0.3, 0.4, 0.6, 0.8]).map((trueM) => ({
        trueM,
        readingV: voltsAt(law, trueM) + 0.01 * random.normal(),
      }));
      const found = voltCurve(readings);
      const truth = between(random, 0.12, 0.7);
      const at = found === null ? NaN : distanceAtVolts(found.law, voltsAt(law, truth));
      const half = found?.halfWidthM(truth) ?? NaN;
      return [{ low: at - half, truth, high: at + half }];
    },
  },
  {
    name: 'distance sensors: which way one looks on its mount',
    measure(random) {
      const facingRad = between(random, -0.15, 0.15);
      const sensor = { aheadM: 0.1, leftM: 0.02, offsetM: 0, scaleFactor: 1 };
      const readings = times(2, [-0.35, -0.17, 0, 0.17, 0.35]).map((turnedRad) => {
        const towards = sensor.aheadM * Math.cos(turnedRad) - sensor.leftM * Math.sin(turnedRad);
        const gapM = (0.5 - towards) / Math.cos(turnedRad + facingRad);
        return { turnedRad, readingM: gapM + 0.0015 * random.normal() };
      });
      const found = mountAngle(readings, sensor);
      return [{ low: found?.low95Rad ?? NaN, truth: facingRad, high: found?.high95Rad ?? NaN }];
    },
  },
];

/** Five lengths read twice by three persons. */
function gaugeBench(random: RandomStream, againM: number, personM: number) {
  const persons = [1, 2, 3].map((person) => ({ person, offM: personM * random.normal() }));
  const lengths = [0.1, 0.3, 0.5, 0.8, 1.2];
  return gauge(
    times(2, lengths).flatMap((trueM) =>
      persons.map(({ person, offM }) => ({
        part: String(trueM),
        person: String(person),
        valueM: trueM + offM + againM * random.normal(),
      })),
    ),
  );
}

/** The share of so many simulated benches whose intervals hold the truth, all that belong together at once. */
export function benchCoverage(kind: BenchKind, benches: number, seed: number): number {
  let count = 0;
  for (let i = 0; i < benches; i += 1) {
    const all = kind.measure(randomStream(seed, i, kind.name));
    if (all.every(({ low, truth, high }) => low <= truth && truth <= high)) count += 1;
  }
  return count / benches;
}
