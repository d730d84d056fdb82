import { randomStream } from '../../src/core/stats/random';
import { turnModel } from '../../src/core/turns/turnModel';

const deg = Math.PI / 180;

/** One kind of robot and of trials. */
export interface TurnKind {
  name: string;
  /** Angles that are tried, signed, degrees. */
  targets: number[];
  /** How far a turn goes too far: constant left and right, and a scale error; scatter. */
  leftDeg: number;
  rightDeg: number;
  scale: number;
  sdDeg: number;
  wantedDeg: number;
  least: number;
}

const times = (n: number, angles: number[]): number[] => Array<number[]>(n).fill(angles).flat();

export const TURN_KINDS: TurnKind[] = [
  {
    name: 'one angle, a full turn wanted, scale error 4 %',
    targets: times(4, [90]),
    leftDeg: 3,
    rightDeg: 3,
    scale: 0.04,
    sdDeg: 1,
    wantedDeg: 360,
    least: 0.9,
  },
  {
    name: 'one angle, a full turn wanted, scale error 2 %',
    targets: times(6, [90, -90]),
    leftDeg: 3,
    rightDeg: 3,
    scale: -0.02,
    sdDeg: 0.5,
    wantedDeg: -360,
    least: 0.9,
  },
  {
    name: 'mixed directions that differ by 1.5°',
    targets: times(3, [45, -45, 90, -90, 180, -180]),
    leftDeg: 4,
    rightDeg: 5.5,
    scale: 0,
    sdDeg: 1,
    wantedDeg: -90,
    least: 0.93,
  },
  {
    name: 'mixed directions that are alike',
    targets: times(3, [45, -45, 90, -90, 180, -180]),
    leftDeg: 4,
    rightDeg: 4,
    scale: 0.005,
    sdDeg: 1,
    wantedDeg: 90,
    least: 0.92,
  },
];

/** Share of new turns at the command that end within the interval that was foretold. */
export function turnCoverage(kind: TurnKind, lists: number, seed: number) {
  const rateRadPerS = 90 * deg;
  let held = 0;
  for (let i = 0; i < lists; i += 1) {
    const random = randomStream(seed, i, 'turn-coverage');
    const truly = (told: number) => {
      const own = told < 0 ? kind.rightDeg : kind.leftDeg;
      const size = own * deg + (1 + kind.scale) * Math.abs(told);
      return Math.sign(told) * (size + kind.sdDeg * deg * random.normal());
    };
    const trials = kind.targets.map((target) => ({
      targetRad: target * deg,
      actualRad: truly(target * deg),
      rateRadPerS,
      kind: 'spin' as const,
    }));
    const [command] = turnModel(trials, 0, [kind.wantedDeg * deg]).commands;
    const { commandRad = null, low95Rad = null, high95Rad = null } = command ?? {};
    if (commandRad === null || low95Rad === null || high95Rad === null) continue;
    const made = truly(commandRad);
    if (made >= low95Rad && made <= high95Rad) held += 1;
  }
  return { ...kind, share: held / lists };
}
