/**
 * A second simulator, which shares no code with the one it judges: Euler's method in steps of two milliseconds, a robot
 * whose truth is known, and a program as a team would type it from what Corvat told.
 */

/** What is true of one robot, where its record says something else. */
export interface Truth {
  /** True over recorded wheel, less one; right over left wheel, less one; true over recorded track, less one. */
  wheel: number;
  wheelsDiffer: number;
  track: number;
  /** reading = (1 + gyroScale) · truth + drift · t + walk. */
  gyroScale: number;
  driftRadPerS: number;
  walkRadPerSqrtS: number;
  /** Turns go on for so much longer than the motors alone, and scatter. */
  lateS: number;
  turnSdRad: number;
  /** Drives roll on, and scatter. */
  coastM: number;
  driveSdM: number;
  /** Where the start jig truly puts it. */
  jigAcrossM: number;
  jigRad: number;
}

/** What its program computes with. */
export interface Program {
  wheelDiameterM: number;
  trackM: number;
  coastM: number;
  headingScale: number;
}

export interface Body {
  /** As recorded. */
  wheelDiameterM: number;
  trackM: number;
  lagS: number;
  accelerationMPerS2: number;
  latencyS: number;
  quantumRad: number;
}

export type EulerStep =
  | { kind: 'straight'; distanceM: number; speedMPerS: number; gain: number }
  | { kind: 'turn'; toRad: number; rateRadPerS: number; leadRad: number };

const DT = 0.002;
const READ_EVERY = 5;
const REST_S = 0.15;

/** A standard normal number, by Box and Muller. */
export const normal = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** A small random generator of its own (Weyl sequence, mixed as in splitmix32). */
export function generator(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x9e3779b9) >>> 0;
    let mixed = state ^ (state >>> 16);
    mixed = Math.imul(mixed, 0x21f0aaad);
    mixed ^= mixed >>> 15;
    mixed = Math.imul(mixed, 0x735a2d97);
    return ((mixed ^ (mixed >>> 15)) >>> 0) / 4294967296;
  };
}

const around = (angle: number): number => angle - 2 * Math.PI * Math.round(angle / (2 * Math.PI));

/** A robot that drives; poses in its own start frame. */
export class EulerRobot {
  x = 0;
  y = 0;
  heading = 0;
  timeS = 0;
  private left = 0;
  private right = 0;
  /** What the encoders say, by the wheel that the program believes in. */
  private rolledM = 0;
  private walk = 0;
  private step = 0;
  private readonly shown: number[] = [0];

  constructor(
    private readonly body: Body,
    private readonly truth: Truth,
    private readonly program: Program,
    private readonly random: () => number,
  ) {}

  reading(): number {
    const back = Math.round(this.body.latencyS / (DT * READ_EVERY));
    const raw = this.shown[Math.max(0, this.shown.length - 1 - back)] ?? 0;
    const { quantumRad: q } = this.body;
    return q > 0 ? q * Math.round(raw / q) : raw;
  }

  /** Two milliseconds with such speeds wanted of the wheels, in what the program takes for metres. */
  private tick(wantedLeft: number, wantedRight: number): void {
    const { body, truth, program } = this;
    const most = body.accelerationMPerS2 * DT;
    const follow = (now: number, wanted: number) =>
      now + Math.max(-most, Math.min(most, ((wanted - now) * DT) / body.lagS));
    this.left = follow(this.left, wantedLeft);
    this.right = follow(this.right, wantedRight);
    const perProgram = (body.wheelDiameterM * (1 + truth.wheel)) / program.wheelDiameterM;
    const l = this.left * DT * perProgram * (1 - truth.wheelsDiffer / 2);
    const r = this.right * DT * perProgram * (1 + truth.wheelsDiffer / 2);
    this.rolledM += ((this.left + this.right) * DT) / 2;
    this.x += ((l + r) / 2) * Math.cos(this.heading);
    this.y += ((l + r) / 2) * Math.sin(this.heading);
    this.heading += (r - l) / (body.trackM * (1 + truth.track));
    this.timeS += DT;
    this.step += 1;
    if (this.step % READ_EVERY !== 0) return;
    this.walk += truth.walkRadPerSqrtS * Math.sqrt(DT * READ_EVERY) * normal(this.random);
    this.shown.push(
      (1 + truth.gyroScale) * this.heading + truth.driftRadPerS * this.timeS + this.walk,
    );
  }

  rest(seconds = REST_S): void {
    for (let i = 0; i < seconds / DT; i += 1) this.tick(0, 0);
  }

  /** So far by the encoders, told less by what it rolls on; a reading of the heading is held. */
  straight(distanceM: number, speedMPerS: number, gain: number, heldRad: number): void {
    const sign = Math.sign(distanceM);
    const told = Math.abs(distanceM) - this.program.coastM;
    const from = this.rolledM;
    const accel = 0.6 * this.body.accelerationMPerS2;
    let speed = 0;
    for (;;) {
      const left = told - sign * (this.rolledM - from);
      if (left <= 0) break;
      const brake = Math.sqrt(2 * accel * left) - accel * this.body.lagS;
      speed = Math.min(speedMPerS, speed + accel * DT, Math.max(0.025, brake));
      const difference = gain * around(heldRad - this.reading());
      this.tick(sign * speed - difference / 2, sign * speed + difference / 2);
    }
    this.rest();
    const on = sign * (this.truth.coastM + this.truth.driveSdM * normal(this.random));
    this.x += on * Math.cos(this.heading);
    this.y += on * Math.sin(this.heading);
  }

  /** Until the reading comes within the lead of what is told; then the motors stop. */
  turn(byRad: number, rateRadPerS: number, leadRad: number): void {
    const sign = Math.sign(byRad);
    const from = this.reading();
    const wheel = (sign * rateRadPerS * this.program.trackM) / 2;
    while (sign * (from + byRad - this.reading()) > leadRad) this.tick(-wheel, wheel);
    this.rest();
    const { lateS, turnSdRad } = this.truth;
    this.heading += sign * (lateS * rateRadPerS + turnSdRad * normal(this.random));
    // Whoever turns by hand or coast: the sensor sees it.
    this.rest(0.05);
  }

  /** A route, its headings as the plan has them, from the start. */
  drive(steps: readonly EulerStep[], startRad: number): void {
    const { headingScale } = this.program;
    let planned = 0;
    for (const step of steps) {
      if (step.kind === 'straight') {
        this.straight(step.distanceM, step.speedMPerS, step.gain, headingScale * planned);
        continue;
      }
      const to = step.toRad - startRad;
      const turned = around(to - planned);
      const atStart = around(headingScale * planned - this.reading());
      this.turn(headingScale * turned + atStart, step.rateRadPerS, step.leadRad);
      planned += turned;
    }
    this.rest();
  }
}
