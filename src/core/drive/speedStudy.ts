import type { SpeedCalibration } from '../calibrationValues/speed';
import type { ThreeSentences } from '../gyro/still/stillSentence';
import { mean } from '../stats/moments';
import { benchSpeed, counted, number, percent } from '../text/quantities';
import { drivenMPerS, speedTable, type SpeedTable, type DriveAtPower } from './speedTable';

/** Powers between which a table is hardly a guess. */
const WIDE = 0.5;
/** Slower than the others say by more than so many prediction intervals, and by this share: it does not follow. */
const SHORT_BY = 0.05;

/** Where the strongest power drives slower than the others say it should. */
export interface StopsFollowing {
  command: number;
  /** Of the speed that the others say. */
  shortShare: number;
}

export interface SpeedStudy {
  table: SpeedTable;
  batteryV: number;
  stopsFollowing: StopsFollowing | null;
  sentences: ThreeSentences;
  value: SpeedCalibration;
}

/** Whether the strongest power falls short of the line through all others: the motors have reached their end. */
function stopsFollowing(drives: readonly DriveAtPower[]): StopsFollowing | null {
  const command = Math.max(...drives.map((drive) => drive.command));
  const others = speedTable(drives.filter((drive) => drive.command < command));
  if (others === null) return null;
  const strongest = drives.filter((drive) => drive.command === command);
  const shares = strongest.map((drive) => {
    const { speedMPerS, low95 } = others.at(command, drive.batteryV);
    const driven = drivenMPerS(drive);
    return { short: 1 - driven / speedMPerS, isBelow: driven < low95 };
  });
  const shortShare = mean(shares.map(({ short }) => short));
  return shares.every(({ isBelow }) => isBelow) && shortShare > SHORT_BY
    ? { command, shortShare }
    : null;
}

function nextSentence(drives: readonly DriveAtPower[], table: SpeedTable): string {
  const commands = drives.map(({ command }) => command);
  const [least, most] = [Math.min(...commands), Math.max(...commands)];
  if (most - least < WIDE) {
    return `Time a drive at ${percent(most < 0.7 ? 0.9 : 0.2)} as well: what is outside of ${percent(least)} to ${percent(most)} is a guess.`;
  }
  if (!table.voltsTried) {
    return 'Time one more with a battery that is nearly empty: so far it is taken that speed goes with the voltage, as that of motors does.';
  }
  return table.n < 6
    ? `${counted(6 - table.n, 'more drive')} would make it surer; or apply it now.`
    : 'Known well enough: apply it, and programs that count in percent are told the right one.';
}

/** What another battery does, and whether anybody has tried it. */
const byBattery = ({ voltsTried }: SpeedTable, batteryV: number): string =>
  voltsTried
    ? `A battery that is 1 V lower drives ${percent(1 / batteryV)} slower at the same power.`
    : `Drives at ${number(batteryV, 1)} V say nothing of other batteries; if speed goes with the voltage, 1 V less drives ${percent(1 / batteryV)} slower.`;

/** What timed drives say, in three sentences, and the calibration that they give. */
export function speedStudy(drives: readonly DriveAtPower[]): SpeedStudy | null {
  const bent = stopsFollowing(drives);
  const used = bent === null ? drives : drives.filter(({ command }) => command < bent.command);
  const table = speedTable(used);
  if (table === null) return null;
  const batteryV = mean(used.map((drive) => drive.batteryV));
  const commands = used.map(({ command }) => command);
  const middle = (Math.min(...commands) + Math.max(...commands)) / 2;
  const { speedMPerS, low95, high95 } = table.at(middle, batteryV);
  const end =
    bent === null
      ? ''
      : ` At ${percent(bent.command)} it drives ${percent(bent.shortShare)} slower than that: it no longer follows.`;
  return {
    table,
    batteryV,
    stopsFollowing: bent,
    sentences: {
      found: `${percent(middle)} of power drives ${benchSpeed(speedMPerS)} (${benchSpeed(low95)} to ${benchSpeed(high95)}) at ${number(batteryV, 1)} V; below ${number(100 * table.deadBand, 1)} % (${number(100 * table.deadBandLow95, 1)} to ${number(100 * table.deadBandHigh95, 1)} %) it stands.`,
      means: `${byBattery(table, batteryV)}${end} Single drives scatter by ${number(100 * table.residualShare, 1)} %.`,
      next: nextSentence(drives, table),
    },
    value: {
      kind: 'speed',
      gainMPerSPerV: table.gainMPerSPerV,
      deadBand: table.deadBand,
      residualShare: table.residualShare,
      batteryV,
      lowestCommand: Math.min(...commands),
      highestCommand: Math.max(...commands),
    },
  };
}
