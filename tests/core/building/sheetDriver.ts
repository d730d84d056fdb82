import type { BuildingSheet } from '../../../src/core/building/sheet';
import type { Pose } from '../../../src/core/geometry/pose';
import { createMachine, type Machine } from '../../../src/core/machine/machine';
import { WHEELS_HELD } from '../../../src/core/machine/ownReadings';
import type { Robot } from '../../../src/core/robot/robot';
import type { Table } from '../../../src/core/table/table';
import { isSo, sentences, valueOf, type Sentence } from './sentences';

const DEG = 180 / Math.PI;
const LONGEST_S = 200;
const MOST_ROUNDS = 100_000;

class Left extends Error {}
class GaveUp extends Error {}

/**
 * Somebody who types the sheet into the robot and lets it drive: knows what stands on the sheet, and how the robot's
 * parts count (a motor turned round, its wheel, what its sensors show), and nothing of steps, routes or plans.
 */
class Driver {
  readonly machine: Machine;
  private readonly values = new Map<string, number>();
  private readonly names: string[];
  private readonly blocks;
  private timerS = 0;
  private headingAdded = 0;
  private rounds = 0;

  constructor(
    private readonly sheet: BuildingSheet,
    private readonly robot: Robot,
    table: Table,
    start: Pose,
  ) {
    this.machine = createMachine(robot, table, start, 1, 0);
    this.blocks = new Map(
      sheet.recipes.map((recipe) => [recipe.name, { ...recipe, body: sentences(recipe.lines) }]),
    );
    const all = [...sheet.program, ...sheet.recipes.flatMap(({ lines }) => lines)];
    const set = all.flatMap((line) => /set (.+?) to /.exec(line)?.[1] ?? []);
    const parameters = sheet.recipes.flatMap((one) => one.parameters.map(({ name }) => name));
    const devices = sheet.devices.flatMap(({ name }) =>
      ['', ' red', ' green', ' blue', ' clear'].map((channel) => name + channel),
    );
    this.names = [...new Set([...devices, ...parameters, ...set, 'timer', 'battery volts'])];
  }

  drive(): boolean {
    try {
      this.all(sentences(this.sheet.program));
    } catch (thrown) {
      if (!(thrown instanceof GaveUp)) throw thrown;
      this.machine.command({ leftMPerS: 0, rightMPerS: 0 });
      return false;
    }
    this.machine.command({ leftMPerS: 0, rightMPerS: 0 });
    this.wait(0.15);
    return true;
  }

  private all(lines: readonly Sentence[]): void {
    lines.forEach((line) => this.one(line));
  }

  private otherwise: boolean | null = null;

  private one({ text: numbered, under }: Sentence): void {
    const text = numbered.replace(/^\d[\w.]*: /, '');
    if (text === 'otherwise:') {
      if (this.otherwise === true) this.all(under);
      return;
    }
    const asked = /^if (.+):$/.exec(text)?.[1];
    if (asked !== undefined) {
      const so = isSo(asked, this.names, this.look);
      if (so) this.all(under);
      this.otherwise = !so;
      return;
    }
    if (text === 'repeat:') return this.repeat(Infinity, under);
    const times = /^repeat (\d+) times:$/.exec(text)?.[1];
    if (times !== undefined) return this.repeat(Number(times), under);
    if (text === 'leave the loop') throw new Left();
    if (text === 'give up') throw new GaveUp();
    this.act(text);
  }

  private repeat(times: number, under: readonly Sentence[]): void {
    for (let round = 0; round < times; round += 1) {
      this.rounds += 1;
      if (this.rounds > MOST_ROUNDS) throw new GaveUp();
      try {
        this.all(under);
      } catch (thrown) {
        if (thrown instanceof Left) return;
        throw thrown;
      }
    }
  }

  private act(text: string): void {
    const called = /^(.+?)(?: \(([A-Z].*)\))?$/.exec(text);
    if (called !== null && this.blocks.has(called[1] ?? ''))
      return this.call(called[1] ?? '', called[2] ?? '');
    const value = (of: string) => valueOf(of, this.names, this.look);
    const [, name = '', to = ''] = /^set (.+?) to (.+)$/.exec(text) ?? [];
    if (name !== '') return this.set(name, value(to));
    const run = /^run (.+?) at (.+)$/.exec(text);
    if (run !== null) return this.run(text, value);
    const [, speed, turning] = /^drive at (.+), turning at (.+)$/.exec(text) ?? [];
    if (speed !== undefined && turning !== undefined)
      return this.goAndTurn(value(speed), value(turning));
    if (text === 'stop both motors') return this.machine.command({ leftMPerS: 0, rightMPerS: 0 });
    if (text === 'restart the timer') return void (this.timerS = this.machine.readings.timeS);
    if (text === 'wait for the start signal') return;
    const [, waited] = /^wait (.+?)( s)?$/.exec(text) ?? [];
    if (waited !== undefined) return this.wait(value(waited));
    const [, zeroed] = /^zero (.+)$/.exec(text) ?? [];
    if (zeroed !== undefined) return this.set(zeroed, 0);
    const [, arm = '', angle = '', power = ''] = /^move (.+) to (.+) at (.+)$/.exec(text) ?? [];
    if (arm !== '')
      return this.moveArm(arm, value(power), { toRad: value(angle) / DEG, durationS: null });
    const [, turned = '', at = '', seconds = ''] = /^turn (.+) at (.+) for (.+)$/.exec(text) ?? [];
    if (turned !== '')
      return this.moveArm(turned, value(at), { toRad: null, durationS: value(seconds) });
    if (text.startsWith('your own lines')) return this.byHand();
    throw new Error(`Nobody says what “${text}” is.`);
  }

  /** The numbers that a block is given are its own: the block that calls it keeps its own, too. */
  private call(name: string, told: string): void {
    const given = [...told.matchAll(/([A-Z ]+?) = (-?[\d.]+)/g)].map(
      ([, parameter = '', number = '']) => [parameter.trim(), Number(number)] as const,
    );
    const kept = given.map(([parameter]) => [parameter, this.values.get(parameter)] as const);
    for (const [parameter, value] of given) this.values.set(parameter, value);
    this.all(this.blocks.get(name)?.body ?? []);
    for (const [parameter, value] of kept)
      if (value !== undefined) this.values.set(parameter, value);
  }

  private set(name: string, to: number): void {
    if (this.kindOf(name) !== 'heading sensor') this.values.set(name, to);
    else this.headingAdded += to - (this.look(name) ?? 0);
  }

  private run(text: string, value: (of: string) => number): void {
    const { left, right } = this.motors();
    const at = (name: string, other: string) => {
      const from = text.indexOf(`${name} at `) + name.length + ' at '.length;
      const end = text.indexOf(`, ${other} at `);
      return value(text.slice(from, end > from ? end : undefined));
    };
    const { signs } = this.robot;
    this.machine.command({
      leftMPerS: signs.leftMotor * this.wheelSpeed(at(left, right)),
      rightMPerS: signs.rightMotor * this.wheelSpeed(at(right, left)),
    });
  }

  private motors(): { left: string; right: string } {
    const of = (kind: string) => this.sheet.devices.find(({ name }) => this.kindOf(name) === kind);
    return { left: of('left motor')?.name ?? '?', right: of('right motor')?.name ?? '?' };
  }

  /** How fast its wheel rolls when its motor is told so much. */
  private wheelSpeed(told: number): number {
    const { program, wheelDiameterM, gearRatio, measured } = this.robot;
    const perTurn = (Math.PI * wheelDiameterM) / gearRatio;
    switch (program.command) {
      case 'degrees per second':
        return (told * perTurn) / 360;
      case 'rotations per second':
        return told * perTurn;
      case 'percent': {
        const { gainMPerSPerV = 0, nowV = 0, deadBand = 0 } = measured.power ?? {};
        return (
          Math.sign(told) * gainMPerSPerV * nowV * Math.max(0, Math.abs(told) / 100 - deadBand)
        );
      }
      case 'power of -1 to 1':
      case 'mm per second':
      case null:
        return told / 1000;
    }
  }

  private goAndTurn(mmPerS: number, degPerS: number): void {
    const { program, trackM } = this.robot;
    const mPerS = (program.forwardSign * mmPerS) / 1000;
    const half = (-program.turnSign * (degPerS / DEG) * trackM) / 2;
    this.machine.command({ leftMPerS: mPerS - half, rightMPerS: mPerS + half });
  }

  private wait(seconds: number): void {
    const untilS = this.machine.readings.timeS + seconds - 1e-9;
    while (this.machine.readings.timeS < untilS) {
      if (this.machine.readings.timeS > LONGEST_S) throw new GaveUp();
      this.machine.advance();
    }
  }

  private moveArm(
    name: string,
    power: number,
    how: { toRad: number | null; durationS: number | null },
  ): void {
    const unit = this.unit(name);
    if (unit?.kind !== 'attachment motor') throw new GaveUp();
    const rateRadPerS = (power / 100) * unit.behaviour.fullRateRadPerS;
    this.machine.moveArm({ unitId: unit.id, rateRadPerS, ...how });
  }

  private byHand(): void {
    const of = (name: string) => this.values.get(name) ?? 0;
    this.machine.carry({
      xM: of('AHEAD') / 1000,
      yM: of('TO THE LEFT') / 1000,
      headingRad: of('TURNED LEFT') / DEG,
    });
  }

  private readonly look = (name: string): number | null => {
    const { readings } = this.machine;
    if (name === 'timer') return readings.timeS - this.timerS;
    if (name === 'battery volts') return this.machine.read({ unitId: 'battery', channel: 'volts' });
    if (name === 'both motors are held') return this.machine.read(WHEELS_HELD);
    const unit = this.unit(name);
    return unit === undefined ? (this.values.get(name) ?? Number.NaN) : this.shown(unit, name);
  };

  /** What the robot's part shows, in its own numbers. */
  private shown(unit: Robot['units'][number], name: string): number | null {
    const { signs, program, wheelDiameterM, gearRatio } = this.robot;
    const { readings } = this.machine;
    const perM =
      ((program.travel === 'rotations' ? 1 : 360) * gearRatio) / (Math.PI * wheelDiameterM);
    const read = (channel: string, times: number) => {
      const of = this.machine.read({ unitId: unit.id, channel });
      return of === null ? null : of * times;
    };
    switch (unit.kind) {
      case 'left motor':
        return signs.leftMotor * readings.leftM * perM;
      case 'right motor':
        return signs.rightMotor * readings.rightM * perM;
      case 'heading sensor': {
        const perRad = program.angles === 'radians' ? 1 : DEG;
        return signs.heading * readings.headingRad * perRad + this.headingAdded;
      }
      case 'light sensor':
        return read('light', 100);
      case 'distance sensor':
        return read('distance', 100);
      case 'colour sensor':
        return read(name.split(' ').at(-1) ?? '', 100);
      case 'touch sensor':
        return read('touch', 1);
      case 'attachment motor':
        return read('angle', 1);
      case 'other':
        return null;
    }
  }

  /** What is in the port that the sheet says. */
  private unit(name: string) {
    const said = this.sheet.devices
      .filter((one) => name === one.name || name.startsWith(`${one.name} `))
      .toSorted((a, b) => b.name.length - a.name.length)[0];
    if (said === undefined) return undefined;
    return this.robot.units.find(({ port }) => port === (said.port === '' ? null : said.port));
  }

  private kindOf(name: string): string | undefined {
    return this.unit(name)?.kind;
  }
}

/** Where the robot stands when what the sheet says has been driven; null: it gave up. */
export function driveSheet(
  sheet: BuildingSheet,
  robot: Robot,
  table: Table,
  start: Pose,
): (Pose & { timeS: number }) | null {
  const driver = new Driver(sheet, robot, table, start);
  const isDone = driver.drive();
  const { xM, yM, headingRad } = driver.machine.pose;
  return isDone ? { xM, yM, headingRad, timeS: driver.machine.readings.timeS } : null;
}
