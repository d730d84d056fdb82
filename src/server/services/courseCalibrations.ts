import { allHeld, type SavedCalibrationOf } from '../../formats/holding';
import type { Doubt } from '../../core/sources/source';
import type { KnownBy } from '../../core/sources/restsOn';
import { doubtsOf } from '../../core/sources/sources';
import { describeCalibration, kindOfCalibration } from '../../core/calibration/registry';
import type { Freshness } from '../../core/text/freshness';
import type { SavedCalibration } from '../../formats/benchRecords';
import type { RobotRecord } from '../../formats/records';
import type { TeamDatabase } from '../database';
import { calibrationsOf, holdingOf } from '../stores/calibrations';
import { keptFittedRobot } from './fitted';
import { validityOf } from './validity';

/** What a calibration is made from, for whoever asks what a figure rests on. */
export const knownBy = ({ value, madeAt, evidence }: SavedCalibration): KnownBy => ({
  value,
  madeAt,
  trials: evidence.stillCheckId === null ? evidence.raw.length : null,
});

/** The robot that a course is computed with, and by which calibrations. */
export async function courseCalibrations(
  db: TeamDatabase,
  record: RobotRecord,
): Promise<{
  robot: RobotRecord;
  calibrations: {
    turns: SavedCalibrationOf<'turns'> | null;
    placing: SavedCalibrationOf<'placing'> | null;
    validity: Freshness;
    /** What the robot is computed with besides, and how far each can be relied on. */
    others: { words: string; validity: Freshness; procedure: string }[];
    /** How well the robot is known by them. */
    doubts: Doubt[];
    known: KnownBy[];
  };
  /** All that were ever applied: a route may have been planned with an earlier one. */
  all: SavedCalibration[];
}> {
  const [known, validity] = await Promise.all([calibrationsOf(db, record), validityOf(db, record)]);
  const current = holdingOf(known, record);
  // Turns are in the commands of a route; all others change the robot that is computed with, or are only typed.
  const others = allHeld(current).filter(({ value: { kind } }) => {
    const { isInRoutes, isOnlyTyped } = kindOfCalibration(kind);
    return isInRoutes === undefined && isOnlyTyped === undefined;
  });
  const values = allHeld(current).map(({ value }) => value);
  return {
    all: known.calibrations,
    robot: {
      ...record,
      robot: keptFittedRobot(record.robot, values).robot,
    },
    calibrations: {
      turns: current.turns ?? null,
      placing: current.placing ?? null,
      doubts: doubtsOf(values),
      known: allHeld(current).map(knownBy),
      validity: validity.turns,
      others: others.map(({ value }) => {
        const { name, measuredBy } = kindOfCalibration(value.kind);
        return {
          words: `${name}, ${describeCalibration(value)}`,
          validity: validity[value.kind],
          procedure: measuredBy.procedure,
        };
      }),
    },
  };
}
