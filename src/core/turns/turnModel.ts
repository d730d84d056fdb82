import { degrees } from '../text/quantities';
import { turnCommandFor, sideOf, type TurnDirection } from '../calibrationValues/turnCommand';
import { hardlyTurns, predictionHalfWidth, turnedBy } from './errorModel';
import { groupTurns, ratesTried, type TurnGroup } from './grouping';
import { misfits, type Misfit } from './misfits';
import { neverReachesRate, stopPhysics, type StopPhysics } from './stopPhysics';
import { byOwnReading, gyroScale, type GyroScale } from './gyroScale';
import { turnPoints, type TurnPoint, type TurnTrial } from './trial';

/** What to tell the program so that the robot turns by a wanted angle. */
export interface TurnCommand {
  wantedRad: number;
  direction: TurnDirection;
  rateRadPerS: number;
  kind: 'spin' | 'pivot';
  /** Signed like the wanted angle; null: there is no honest command, and `reason` says why. */
  commandRad: number | null;
  reason: string | null;
  /** 95 % of single turns at this command truly make an angle between these; null: not known yet. */
  low95Rad: number | null;
  high95Rad: number | null;
  /** Outside the angles, or in a direction, that were tried. */
  extrapolated: boolean;
  /** Too short to reach the turning rate: it will turn less far than the longer ones. */
  short: boolean;
}

export interface TurnModel extends StopPhysics {
  groups: TurnGroup[];
  commands: TurnCommand[];
  /** Trials that do not fit the others: asked about; the gross ones are left out of all this. */
  misfits: Misfit[];
  /** The scale of the heading sensor, which does not end with a turn; null: a guess. */
  gyroScale: GyroScale | null;
}

/** The group that knows most about a turn: its own direction and rate, or else the other direction's. */
function groupFor(
  groups: readonly TurnGroup[],
  kind: TurnGroup['kind'],
  side: TurnDirection,
  rate: number,
) {
  const fitting = groups.filter(
    (group) =>
      group.kind === kind && group.rates.some((tried) => Math.abs(tried / rate - 1) < 0.01),
  );
  const own = fitting.find(({ direction }) => direction === side || direction === 'both');
  return { group: own ?? fitting[0], tried: own !== undefined };
}

/** Why a group has no honest command for a wanted angle; null where it has one. */
function whyNone({ model }: TurnGroup, wanted: number, rate: number): string | null {
  if (hardlyTurns(model)) {
    return turnedBy(model, model.toRad) < 0
      ? 'The robot turned the other way than it was told: see to its directions first.'
      : 'The robot hardly turned when it was told to: see that both motors run.';
  }
  const command = turnCommandFor(model, wanted);
  if (command > 0) return null;
  return `At ${degrees(rate, 0)}/s it turns on by ${degrees(model.constantRad)} after the stop alone: ${degrees(wanted, 0)} cannot be made so. Turn more slowly.`;
}

const neverTried = (side: TurnDirection, rate: number): string =>
  `Nobody has tried a turn to the ${side} at ${degrees(rate, 0)}/s: the two sides often differ.`;

function commandOf(
  groups: readonly TurnGroup[],
  kind: TurnGroup['kind'],
  rate: number,
  wantedRad: number,
  brakingRadPerS2: number | null,
): TurnCommand[] {
  const side = sideOf(wantedRad);
  const { group, tried } = groupFor(groups, kind, side, rate);
  if (group === undefined) return [];
  const sign = side === 'left' ? 1 : -1;
  const wanted = Math.abs(wantedRad);
  const { model } = group;
  const reason = tried ? whyNone(group, wanted, rate) : neverTried(side, rate);
  const command = turnCommandFor(model, wanted);
  const half = reason === null ? predictionHalfWidth(model, command) : Infinity;
  const known = Number.isFinite(half);
  return [
    {
      wantedRad,
      direction: side,
      rateRadPerS: rate,
      kind,
      commandRad: reason === null ? sign * command : null,
      reason,
      low95Rad: known ? wantedRad - half : null,
      high95Rad: known ? wantedRad + half : null,
      extrapolated: !tried || wanted < model.fromRad - 1e-6 || wanted > model.toRad + 1e-6,
      short: neverReachesRate(wanted, rate, brakingRadPerS2),
    },
  ];
}

/** Trials as they count, and the scale of the heading sensor that they tell. */
function read(
  trials: readonly TurnTrial[],
  driftRadPerS: number,
): { points: TurnPoint[]; scale: GyroScale | null } {
  const points = turnPoints(trials, driftRadPerS);
  const scale = gyroScale(points);
  return { points: byOwnReading(points, scale), scale };
}

/**
 * How far a robot's turns go beyond what they are told, and what to tell it instead.
 *
 * Per group |actual| = c + (1 + k)·|target| + noise, the model chosen by AICc; groups are kept apart
 * unless they are shown to be alike; lag and braking from how c grows with the rate (spins, or
 * pivots when no spin was tried). A command is (wanted − c)/(1 + k), its interval that of one turn.
 * @param trials at least one; a target of 0 is no turn
 * @param driftRadPerS d(reading − truth)/dt of the heading sensor during the trials
 */
export function turnModel(
  trials: readonly TurnTrial[],
  driftRadPerS: number,
  wantedRad: readonly number[],
): TurnModel {
  const asked = misfits(trials, driftRadPerS);
  const { points, scale } = read(
    trials.filter((_, index) => !asked.some((one) => one.leftOut && one.index === index)),
    driftRadPerS,
  );
  const groups = groupTurns(points);
  const kinds = (['spin', 'pivot'] as const).filter((kind) => points.some((p) => p.kind === kind));
  const physics = stopPhysics(points.filter(({ kind }) => kind === kinds[0]));
  const commands = kinds.flatMap((kind) => {
    const rates = ratesTried(points.filter((point) => point.kind === kind));
    return wantedRad.flatMap((wanted) =>
      rates.flatMap((rate) => commandOf(groups, kind, rate, wanted, physics.brakingRadPerS2)),
    );
  });
  return { groups, commands, misfits: asked, gyroScale: scale, ...physics };
}

/** The command for one wanted angle when every trial counts, whether it fits the others or not. */
export function commandWithAll(
  trials: readonly TurnTrial[],
  driftRadPerS: number,
  { wantedRad, kind, rateRadPerS }: Pick<TurnCommand, 'wantedRad' | 'kind' | 'rateRadPerS'>,
): number | null {
  const groups = groupTurns(read(trials, driftRadPerS).points);
  const [command] = commandOf(groups, kind, rateRadPerS, wantedRad, null);
  return command?.commandRad ?? null;
}
