import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fittedRobot } from '../../src/core/calibration/fittedRobot';
import { driveCommandFor } from '../../src/core/drive/straightStudy';
import { COMMAND_WAYS } from '../../src/core/program/commands';
import { gainInProgram } from '../../src/core/program/gain';
import { COMMANDS, STEERINGS, TRAVELS } from '../../src/core/robot/programWays';
import type { Step } from '../../src/core/steps/step';
import {
  numbersToType,
  programSentence,
  programWants,
  stepInProgram,
} from '../../src/core/course/programSentence';
import { percentForSpeed, speedAtPercent } from '../../src/core/program/speedTable';
import { pivotSteering, steeredWheels } from '../../src/core/program/steering';
import { commandedTravel, travelledFor } from '../../src/core/program/commandedTravel';
import { TRAVEL_WAYS } from '../../src/core/program/travels';
import { commandFromRate, rateFromCommand } from '../../src/core/program/turnRate';
import { tunedInProgram } from '../../src/core/tuning/tunedInProgram';
import { motionSchema } from '../../src/core/steps/step';
import { robotSchema } from '../../src/core/robot/robot';
import { deg } from './support';

/** Wheels of 56 mm: a turn of a motor is 175.9 mm. */
const robot = robotSchema.parse({
  wheelDiameterM: 0.056,
  trackM: 0.13,
  program: {
    command: 'percent',
    travel: 'rotations',
    steering: 'one wheel slows',
    speeds: [
      { percent: 20, distanceM: 0.6, durationS: 6 },
      { percent: 20, distanceM: 0.6, durationS: 5 },
      { percent: 50, distanceM: 1.5, durationS: 5 },
      { percent: 80, distanceM: 1.2, durationS: 3 },
    ],
  },
});

const MOTOR = 'degrees per second' as const;

describe('how programs count', () => {
  it('travel: there and back in every way of counting', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...TRAVELS),
        fc.double({ min: 0.01, max: 5, noNaN: true }),
        (way, s) => {
          const { travel, distanceM } = TRAVEL_WAYS[way];
          expect(distanceM(robot, travel(robot, s))).toBeCloseTo(s, 9);
        },
      ),
    );
    expect(TRAVEL_WAYS.rotations.travel(robot, Math.PI * 0.056 * 3.5)).toBeCloseTo(3.5, 9);
    expect(TRAVEL_WAYS.inches.travel(robot, 0.254)).toBeCloseTo(10, 9);
  });

  it('are told less by what the robot rolls on, so that it drives what is wanted', () => {
    const measured = { kind: 'straight', scaleFactorSe: 0.001, residualSdM: 0.003 } as const;
    const value = { ...measured, scaleFactor: 0.98, coastM: 0.006 };
    const { robot: fitted } = fittedRobot(robot, [value]);
    // As the procedure itself says it, of the recorded wheel.
    expect(commandedTravel(fitted, 'rotations', 0.5)).toBeCloseTo(
      TRAVEL_WAYS.rotations.travel(robot, driveCommandFor(0.5, value)),
      9,
    );
    expect(
      travelledFor(fitted, 'rotations', commandedTravel(fitted, 'rotations', 0.5)),
    ).toBeCloseTo(0.5);
    const step = motionSchema.parse({ id: 's', kind: 'straight', distanceM: 0.5 });
    expect(stepInProgram(fitted, step)).toMatch(/^2\.87 rotations \(it rolls on by 6 mm\)/);
    expect(stepInProgram(robot, step)).toMatch(/^2\.84 rotations at/);
  });

  it('power: only between what was timed, the mean of drives at one power', () => {
    const { speeds } = robot.program;
    // 0.1 and 0.12 m/s at 20 %, 0.3 at 50 %.
    expect(speedAtPercent(speeds, 20)).toBeCloseTo(0.11, 9);
    expect(speedAtPercent(speeds, 35)).toBeCloseTo(0.205, 9);
    expect(percentForSpeed(speeds, 0.35)).toBeCloseTo(65, 9);
    expect([speedAtPercent(speeds, 10), percentForSpeed(speeds, 0.5)]).toEqual([null, null]);
    expect(speedAtPercent([], 30)).toBeNull();
    expect(programWants(robot.program)).toEqual([]);
    expect(programWants({ ...robot.program, speeds: speeds.slice(0, 2) })).toHaveLength(1);
  });

  it('turning: the rate of a spin is twice that of a pivot at the same command, and inverts', () => {
    for (const way of COMMANDS.filter((one) => COMMAND_WAYS[one].turnUnit === undefined)) {
      const command = COMMAND_WAYS[way].commanded(robot, 0.2) ?? Number.NaN;
      const spin = rateFromCommand(robot, 'spin', way, command) ?? 0;
      expect(spin).toBeCloseTo(0.2 / 0.065, 6);
      expect(rateFromCommand(robot, 'pivot', way, command)).toBeCloseTo(spin / 2, 6);
      expect(commandFromRate(robot, 'spin', way, spin)).toBeCloseTo(command, 6);
    }
  });

  it('gains: so much more of the command for a degree as the command gives of speed', () => {
    // 1.2 m/s for a radian are 20.9 mm/s a degree: at 0.2 m/s a percent is worth 6.33 mm/s.
    const unsteered = { ...robot, program: { ...robot.program, steering: null } };
    expect(gainInProgram(unsteered, 1.2, 0.2)?.perAngle).toBeCloseTo(
      (1.2 * deg(1)) / ((0.3 - 0.11) / 30),
      6,
    );
    const byMotor = { ...unsteered, program: { ...unsteered.program, command: MOTOR } };
    const motor = gainInProgram(byMotor, 1.2, 0.2)?.perAngle;
    expect(motor).toBeCloseTo(((1.2 * deg(1)) / (Math.PI * 0.056)) * 360, 6);
    expect(gainInProgram(unsteered, 1.2, 0.9)).toBeNull();
  });

  it('gains: for a radian, where programs count headings in radians, and of headings alone', () => {
    const inRadians = { ...robot, program: { ...robot.program, angles: 'radians' } } as const;
    const [degree, radian] = [gainInProgram(robot, 1.2, 0.2), gainInProgram(inRadians, 1.2, 0.2)];
    expect(radian?.angle).toBe('rad');
    expect((radian?.perAngle ?? 0) * deg(1)).toBeCloseTo(degree?.perAngle ?? NaN, 9);
    for (const id of ['turn', 'heading-hold', 'wall'] as const) {
      const [plain, other] = [tunedInProgram(robot, id, 2), tunedInProgram(inRadians, id, 2)];
      const times = id === 'wall' ? 1 : 1 / deg(1);
      expect((other?.perUnit ?? 0) / (plain?.perUnit ?? 1)).toBeCloseTo(times, 6);
      expect(other?.unit.includes('rad')).toBe(id !== 'wall');
      expect(other?.gainOf(other.perUnit)).toBeCloseTo(2, 9);
    }
  });

  it('gains: as a steering, where programs have one, it makes the difference that is wanted at its speed', () => {
    for (const steering of STEERINGS) {
      const steered = { ...robot, program: { ...robot.program, steering } };
      const gain = gainInProgram(steered, 1.2, 0.25);
      expect(gain?.unit).toBe('of steering');
      // Three degrees off at 0.25 m/s: the wheels that such a steering gives differ by 1.2 m/s · 3°.
      const { left, right } = steeredWheels(steering, 3 * (gain?.perAngle ?? 0));
      expect(0.25 * (left - right)).toBeCloseTo(1.2 * deg(3), 9);
    }
  });

  it('signs: back is the other sign, a turn on the spot is a full steering to its side', () => {
    const step = (more: object) => motionSchema.parse({ id: 's', ...more });
    const drive = step({ kind: 'straight', distanceM: 0.7, speedMPerS: 0.3 });
    const turn = step({ kind: 'turn', mode: 'by', angleRad: deg(90), rateRadPerS: 2 });
    const told = (program: Partial<typeof robot.program>, of: typeof drive, signs: object) =>
      stepInProgram({ ...robot, program: { ...robot.program, ...program } }, of, {
        distanceM: 0,
        angleRad: 0,
        ...signs,
      });
    expect(told({}, drive, { distanceM: 0.7 })).toContain('at 50 %');
    expect(told({}, drive, { distanceM: -0.7 })).toContain('at −50 %');
    expect(told({ forwardSign: -1 }, drive, { distanceM: 0.7 })).toContain('at −50 %');
    expect(told({}, turn, { angleRad: deg(90) })).toMatch(/%, steering −100$/);
    expect(told({ turnSign: -1 }, turn, { angleRad: deg(90) })).toMatch(/%, steering 100$/);
    // Where full steering lets one wheel stand, no steering turns on the spot.
    const pivots = { steering: 'one faster, one slower' } as const;
    expect(told(pivots, turn, { angleRad: deg(90) })).not.toContain('steering');
    const byRate = { command: 'mm per second', turnSign: -1 } as const;
    expect(told(byRate, turn, { angleRad: deg(90) })).toBe('at 115 °/s');
    expect(told(byRate, turn, { angleRad: deg(-90) })).toBe('at −115 °/s');
    expect(programSentence({ ...robot.program, forwardSign: -1, turnSign: -1 })).toContain(
      'minus drives forward, plus turns to the left',
    );
  });

  it('a power of −1 to 1 is the same power as percent; mm/s need wheel and track in the program', () => {
    const drive: Step = {
      id: 's1',
      kind: 'straight',
      distanceM: 0.7,
      speedMPerS: 0.3,
      gainMPerSPerRad: 1.2,
    };
    const turn: Step = {
      id: 's2',
      kind: 'turn',
      mode: 'to',
      angleRad: deg(90),
      direction: 'short',
      rateRadPerS: deg(90),
      leadRad: 0,
    };
    const as = (command: (typeof COMMANDS)[number]) => ({
      ...robot,
      program: { ...robot.program, command },
    });
    // 0.3 m/s is what half the power drives.
    expect(stepInProgram(as('percent'), drive)).toContain('at 50 %');
    expect(stepInProgram(as('power of -1 to 1'), drive)).toContain('at 0.50 of 1');
    expect(programWants({ ...as('power of -1 to 1').program, speeds: [] })).toHaveLength(1);
    expect(stepInProgram(as('mm per second'), drive)).toContain('at 300 mm/s');
    expect(stepInProgram(as('mm per second'), turn)).toBe('at 90 °/s');
    expect(numbersToType(as('mm per second'))).toBe(
      'Type into the program: wheels of 56.0 mm, a track of 130.0 mm.',
    );
    expect(numbersToType(as('percent'))).toBeNull();
    // 1.2 m/s of difference for a radian turn a robot with a track of 130 mm at 9.23 rad/s: as many °/s for a degree.
    expect(gainInProgram(as('mm per second'), 1.2, 0.3)?.perAngle).toBeCloseTo(1.2 / 0.13, 6);
  });

  it('steering: straight at 0, one wheel stands at its pivot, mirrored for the other side', () => {
    for (const law of STEERINGS) {
      expect(steeredWheels(law, 0)).toEqual({ left: 1, right: 1 });
      expect(steeredWheels(law, pivotSteering(law)).right).toBeCloseTo(0, 12);
      const { left, right } = steeredWheels(law, 37);
      expect(steeredWheels(law, -37)).toEqual({ left: right, right: left });
    }
  });

  it('a step as the program has it, and why not where nobody has timed it', () => {
    const drive = motionSchema.parse({
      id: 's',
      kind: 'straight',
      distanceM: -0.7,
      speedMPerS: 0.3,
    });
    expect(stepInProgram(robot, drive)).toBe('3.98 rotations at 50 %, gain 3.49 of steering per °');
    const untimed = { ...robot, program: { ...robot.program, speeds: [] } };
    expect(stepInProgram(untimed, drive)).toMatch(/^3\.98 rotations not timed yet/);
    expect(programSentence(robot.program)).toBe(
      'Power in percent, travel in rotations, a steering of 50 lets one wheel stand. 4 timed drives.',
    );
    const silent = robotSchema.parse({ wheelDiameterM: 0.056, trackM: 0.13 });
    expect(stepInProgram(silent, drive)).toBeNull();
    expect(programSentence(silent.program)).toBe('Nobody has said yet.');
  });
});
