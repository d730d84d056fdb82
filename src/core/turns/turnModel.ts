import { commandFor, hardlyTurns, predictionHalfWidth } from './errorModel';
import { groupTurns, ratesTried, type TurnGroup } from './grouping';
import { neverReachesRate, stopPhysics, type StopPhysics } from './stopPhysics';
import { sideOf, turnPoint, type TurnSide, type TurnTrial } from './trial';

/** What to tell the program so that the robot turns by a wanted angle. */
export interface TurnCommand {
  wantedRad: number;
  direction: TurnSide;
  rateRadPerS: number;
  kind: 'spin' | 'pivot';
  /** Signed like the wanted angle. */
  commandRad: number;
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
}

/** The group that knows most about a turn: its own direction and rate, or else the other direction's. */
function groupFor(
  groups: readonly TurnGroup[],
  kind: TurnGroup['kind'],
  side: TurnSide,
  rate: number,
) {
  const fitting = groups.filter(
    (group) =>
      group.kind === kind && group.rates.some((tried) => Math.abs(tried / rate - 1) < 0.01),
  );
  const own = fitting.find(({ direction }) => direction === side || direction === 'both');
  return { group: own ?? fitting[0], tried: own !== undefined };
}

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
  // A robot that hardly turns when it is told to cannot be told how far to turn.
  if (hardlyTurns(model)) return [];
  const command = commandFor(model, wanted);
  const half = predictionHalfWidth(model, command);
  const known = Number.isFinite(half);
  return [
    {
      wantedRad,
      direction: side,
      rateRadPerS: rate,
      kind,
      commandRad: sign * command,
      low95Rad: known ? wantedRad - half : null,
      high95Rad: known ? wantedRad + half : null,
      extrapolated: !tried || wanted < model.fromRad - 1e-6 || wanted > model.toRad + 1e-6,
      short: neverReachesRate(wanted, rate, brakingRadPerS2),
    },
  ];
}

/**
 * How far a robot's turns go beyond what they are told, and what to tell it instead.
 *
 * Per group |actual| = c + (1 + k)·|target| + noise, the model chosen by AICc; groups are kept apart
 * unless an F-test finds no difference; lag and braking from how c grows with the rate (spins, or
 * pivots when no spin was tried). A command is (wanted − c)/(1 + k), its interval that of one turn.
 * @param trials at least one; a target of 0 is no turn
 * @param driftRadPerS d(reading − truth)/dt of the heading sensor during the trials
 */
export function turnModel(
  trials: readonly TurnTrial[],
  driftRadPerS: number,
  wantedRad: readonly number[],
): TurnModel {
  const points = trials.map((trial) => turnPoint(trial, driftRadPerS));
  const groups = groupTurns(points);
  const kinds = (['spin', 'pivot'] as const).filter((kind) => points.some((p) => p.kind === kind));
  const physics = stopPhysics(points.filter(({ kind }) => kind === kinds[0]));
  const commands = kinds.flatMap((kind) => {
    const rates = ratesTried(points.filter((point) => point.kind === kind));
    return wantedRad.flatMap((wanted) =>
      rates.flatMap((rate) => commandOf(groups, kind, rate, wanted, physics.brakingRadPerS2)),
    );
  });
  return { groups, commands, ...physics };
}
