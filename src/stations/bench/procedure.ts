import type { HoldingCalibrations } from '../../formats/holding';
import type { CalibrationKind, CalibrationValue } from '../../core/calibration/calibration';
import type { fittedRobot } from '../../core/calibration/fittedRobot';
import type { Found } from './waiting';
import type { CreepFirst } from '../../core/gyro/creepFirst';
import type { RestsOn } from '../../core/sources/restsOnSentence';
import type { Freshness } from '../../core/text/freshness';
import type {
  BenchTrialsRecord,
  SavedCalibration,
  SavedCalibrationChange,
  SavedStillCheck,
  TrialListEntry,
} from '../../formats/benchRecords';
import type { RobotRecord } from '../../formats/records';
import type { RobotRoute } from '../../formats/robotRoute';

/** The groups of the Bench, in working order. */
export const GROUPS = [
  'as it is built',
  'heading',
  'driving',
  'distance and touch',
  'light and colour',
  'control',
] as const;

export type Group = (typeof GROUPS)[number];

type TrialsProcedure = BenchTrialsRecord['procedure'];
type ListsOf<P extends TrialsProcedure> = {
  lists: TrialListEntry[];
  /** The wished list in full, or else the one that was begun last. */
  open: Extract<BenchTrialsRecord, { procedure: P }> | null;
};

/** What is kept of a robot's measurements; each is read when it is asked for. */
export interface BenchFacts {
  robot: RobotRecord;
  now: Date;
  /** What the address asks for besides the robot. */
  wishes: URLSearchParams;
  /** The newest first. */
  stillChecks(): Promise<SavedStillCheck[]>;
  trials<P extends TrialsProcedure>(procedure: P): Promise<ListsOf<P>>;
  routes(): Promise<RobotRoute[]>;
  calibrations(): Promise<{
    calibrations: SavedCalibration[];
    journal: SavedCalibrationChange[];
  }>;
  /** Those that hold. */
  holding(): Promise<HoldingCalibrations>;
  /** What comes before anything that goes by the heading; null: nothing does. */
  creep(): Promise<CreepFirst | null>;
  /** What the figures of the robot rest on. */
  rests(): Promise<RestsOn[]>;
  validity(): Promise<Record<CalibrationKind, Freshness>>;
  fitted(values: readonly CalibrationValue[]): ReturnType<typeof fittedRobot>;
}

/** What a procedure has found out so far, for the overview. */
export interface Known {
  /** In a sentence, with its interval; null: nothing yet. */
  sentence: string | null;
  /** How far that can be relied on; null where it does not age. */
  freshness: Freshness | null;
}

/** A page of the Bench. Its island is the default export of `Station.tsx` in the folder that has its id. */
export interface BenchPage {
  id: string;
  title: string;
  /** What its island is given besides the robot. */
  props(facts: BenchFacts): Promise<object>;
}

/** One procedure of the Bench. */
export interface Procedure extends BenchPage {
  group: Group;
  /** What is known better after it, in half a sentence. */
  goodFor: string;
  /** How long it takes at the table; null: there is nothing to measure. */
  minutes: number | null;
  /** The kinds of calibration that it gives, if any. */
  gives: readonly CalibrationKind[];
  /** Whether a heading that creeps would be measured instead of what is asked for. */
  goesByHeading?: true;
  known(facts: BenchFacts): Promise<Known>;
  /** What its last measurement leaves to be computed with; null where it does not tell. */
  found?(facts: BenchFacts): Promise<Found | null>;
}

/** What every island is given. */
export interface BenchProps {
  robot: RobotRecord;
}
