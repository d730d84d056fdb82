import type { DeviceOf } from '../devices/device';
import type { RandomStream } from '../stats/random';

/** A clock that is kept in sums of decimal fractions is off by less than this, in periods. */
const ROUNDING = 1e-6;

/**
 * A heading sensor with its own period, latency, drift (drawn anew each run), scale error, angle random walk
 * and quantum. It is shown the true heading at each of its samples, and read by the program.
 */
export class Gyro {
  /** When it takes its next sample, s. */
  nextS = 0;

  private samples = 0;
  /** Of the newest sample among those that are kept. */
  private place = -1;
  private walkRad = 0;
  private readonly kept: Float64Array;
  private readonly periodS: number;
  private readonly latencyS: number;
  private readonly driftRadPerS: number;
  private readonly scale: number;
  private readonly quantumRad: number;
  private readonly quantaPerRad: number;
  private readonly samplesPerS: number;
  private readonly walkStepRad: number;
  private readonly random: RandomStream;
  private readonly startRad: number;

  /** @param loopPeriodS so long apart it is read, and all samples until then are kept */
  constructor(
    spec: DeviceOf<'heading sensor'>['behaviour'],
    loopPeriodS: number,
    startHeadingRad: number,
    random: RandomStream,
  ) {
    this.periodS = spec.periodS;
    this.latencyS = spec.latencyS;
    this.scale = 1 + spec.scaleError;
    this.quantumRad = spec.quantumRad;
    this.quantaPerRad = 1 / spec.quantumRad;
    this.samplesPerS = 1 / spec.periodS;
    this.walkStepRad = spec.noiseRadPerSqrtS * Math.sqrt(spec.periodS);
    this.random = random;
    this.startRad = startHeadingRad;
    this.driftRadPerS = spec.driftRadPerS + spec.driftSdRadPerS * random.normal();
    this.kept = new Float64Array(Math.ceil((spec.latencyS + loopPeriodS) / spec.periodS) + 2);
  }

  /** Take the sample that is due: the true, unwrapped heading at `nextS`. */
  sample(headingRad: number): void {
    this.walkRad += this.walkStepRad * this.random.normal();
    const raw =
      this.scale * (headingRad - this.startRad) + this.driftRadPerS * this.nextS + this.walkRad;
    const { quantumRad } = this;
    this.place = this.place + 1 === this.kept.length ? 0 : this.place + 1;
    this.kept[this.place] =
      quantumRad > 0 ? Math.floor(raw * this.quantaPerRad + 0.5) * quantumRad : raw;
    this.samples += 1;
    this.nextS = this.samples * this.periodS;
  }

  /** The heading since the start of the program, as the program reads it at a time. */
  readRad(timeS: number): number {
    const shown = Math.floor((timeS - this.latencyS) * this.samplesPerS + ROUNDING);
    if (shown < 0) return 0;
    const back = this.place - (this.samples - 1 - shown);
    return this.kept[back < 0 ? back + this.kept.length : back] ?? 0;
  }
}
