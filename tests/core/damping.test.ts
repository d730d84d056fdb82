import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dampingStudy, type DampingLook, type Settles } from '../../src/core/tuning/damping';
import { generator, normal } from '../support/eulerRobot';

/** A robot that follows a wall: its distance follows its heading as the heading follows the program, some time later. */
interface Follower {
  speedMPerS: number;
  gain: number;
  delayS: number;
  /** Of the reading, m. */
  noiseM: number;
  /** The program's steering is off by so much: a gain alone comes to rest beside the target. */
  offRadPerS: number;
}

const STEP_S = 0.01;

/** Begun 4 cm off, its readings smoothed over five loops, as a program does: how it comes back, as a coach sees it. */
function lookAt(
  { speedMPerS, gain, delayS, noiseM, offRadPerS }: Follower,
  { damping, integral }: Pick<DampingLook, 'damping' | 'integral'>,
): Settles {
  const random = generator(11);
  let [y, heading, sum] = [0.04, 0, 0];
  const told: number[] = [];
  const seen: number[] = [];
  const past: number[] = [];
  const rates: number[] = [];
  const late = Math.round(delayS / STEP_S);
  for (let i = 0; i < 1200; i += 1) {
    past.push(y + noiseM * normal(random));
    const mean = (from: number) =>
      past.slice(Math.max(0, from - 5), from).reduce((a, b) => a + b, 0) /
      Math.max(1, Math.min(5, from));
    const now = mean(past.length);
    rates.push((now - mean(past.length - 5)) / (5 * STEP_S));
    sum += now * STEP_S;
    told.push(-gain * now - damping * (i < 10 ? 0 : (rates.at(-1) ?? 0)) - integral * sum);
    heading += ((told[i - late] ?? 0) + offRadPerS) * STEP_S;
    y += speedMPerS * heading * STEP_S;
    seen.push(y);
  }
  const settled = seen.slice(-300).reduce((a, b) => a + b, 0) / 300;
  const jumps = told.slice(-300).map((u, i, all) => u - (all[i - 1] ?? u));
  const roughness = Math.sqrt(jumps.reduce((a, b) => a + b * b, 0) / jumps.length);
  if (roughness > 0.25) return 'trembles';
  if (Math.min(...seen) < Math.min(0, settled) - 0.006) return 'overshoots';
  return Math.abs(settled) > 0.004 ? 'stays off' : 'settles';
}

/** What is advised is done until it is found, or so many looks are over. */
function tuned(robot: Follower, most = 14) {
  const looks: DampingLook[] = [];
  for (;;) {
    const study = dampingStudy('wall', robot.gain, robot.delayS, looks);
    if (study.isFound || looks.length === most) return { study, looks };
    const { damping, integral } = study;
    looks.push({ damping, integral, seen: lookAt(robot, { damping, integral }) });
  }
}

const WEAVES: Follower = { speedMPerS: 0.12, gain: 8, delayS: 0.08, noiseM: 0.0003, offRadPerS: 0 };

describe('damping', () => {
  it('is raised until a robot that weaves does not swing past its wall any more', () => {
    expect(lookAt(WEAVES, { damping: 0, integral: 0 })).toBe('overshoots');
    const { study, looks } = tuned(WEAVES);
    expect(study.isFound).toBe(true);
    expect(lookAt(WEAVES, study)).toBe('settles');
    expect(looks.length).toBeLessThan(8);
    expect(study.integral, 'no error stayed').toBe(0);
  });

  it('is taken back where the readings are so rough that the motors tremble', () => {
    const look = (damping: number, seen: Settles) => ({ damping, integral: 0, seen });
    const halved = dampingStudy('wall', 8, 0.08, [look(6, 'trembles')]);
    expect(halved.damping).toBe(3);
    const between = dampingStudy('wall', 8, 0.08, [look(6, 'trembles'), look(3, 'overshoots')]);
    expect(between.damping).toBeCloseTo(Math.sqrt(18), 9);
    const none = [look(6, 'trembles'), look(5.5, 'overshoots')];
    expect(dampingStudy('wall', 8, 0.08, none).sentences.next).toMatch(
      /^Take a gain of .*smoother/,
    );
  });

  it('gets an integral only where an error stays, and then no more than takes it away', () => {
    const pulled = { ...WEAVES, offRadPerS: 0.13 };
    const { study, looks } = tuned(pulled);
    expect(study.isFound).toBe(true);
    expect(looks.length).toBeLessThan(10);
    expect(study.integral).toBeGreaterThan(0);
    expect(lookAt(pulled, { ...study, integral: 0 })).toBe('stays off');
  });

  it('advises something that can be typed, whatever was seen', () => {
    const seen = fc.constantFrom<Settles>('overshoots', 'settles', 'trembles', 'stays off');
    const size = fc.double({ min: 0, max: 1e4, noNaN: true });
    const look = fc.record({ damping: size, integral: size, seen });
    fc.assert(
      fc.property(
        fc.double({ min: -1e4, max: 1e4, noNaN: true }).filter((gain) => gain !== 0),
        fc.double({ min: 0, max: 5, noNaN: true }),
        fc.array(look, { maxLength: 8 }),
        (gain, delayS, looks) => {
          const study = dampingStudy('turn', gain, delayS, looks);
          expect(study.damping).toBeGreaterThanOrEqual(0);
          expect(study.integral).toBeGreaterThanOrEqual(0);
          expect(Number.isFinite(study.damping + study.integral)).toBe(true);
          expect(study.sentences.next).not.toMatch(/NaN|undefined/);
        },
      ),
    );
  });
});
