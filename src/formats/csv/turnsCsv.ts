import { rateFromCommand } from '../../core/program/turnRate';
import type { Robot } from '../../core/robot/robot';
import { TURN_ROW, type TurnRow } from '../../core/trials/turn';
import type { TurnTrialRecord } from '../benchRecords';
import { readTrials } from './trialFile';

/** How fast it turned: as a rate, or as the program told its motors. A sentence says why it cannot be told. */
function rateOf({ rateRadPerS, motorDegPerS, power, kind }: TurnRow, robot: Robot) {
  if (rateRadPerS !== null) return rateRadPerS;
  if (motorDegPerS !== null) {
    return rateFromCommand(robot, kind, 'degrees per second', motorDegPerS) ?? '';
  }
  if (power === null) return 'it says neither rate_deg_per_s nor motor_deg_per_s nor power_percent';
  const percent = 100 * power;
  return (
    rateFromCommand(robot, kind, 'percent', percent) ??
    `power_percent: how fast it is at ${percent} % was not timed; time a drive below and one above it (Bench: Speed at a power)`
  );
}

/**
 * Turn trials from a CSV file with target_deg, actual_deg (right turns negative), and rate_deg_per_s,
 * motor_deg_per_s or power_percent.
 */
export const readTurnTrials = (file: File, newId: () => string, robot: Robot) =>
  readTrials(TURN_ROW, file, newId, (row): TurnTrialRecord | string => {
    const rateRadPerS = rateOf(row, robot);
    const { motorDegPerS: _motor, power: _power, ...turn } = row;
    return typeof rateRadPerS === 'string'
      ? rateRadPerS
      : {
          ...turn,
          rateRadPerS,
          seen: null,
          wantedRad: null,
          times: 1,
          readingSdRad: null,
          afterDrive: null,
          measuredBy: 'file',
        };
  });
