import type { AnyValue } from '../core/description/description';
import { SETTINGS } from '../core/gyro/still/description';
import * as robot from '../core/robot/description';
import { LAUNCH, MATCH } from '../core/match/description';
import { REZERO_STRATEGIES } from '../core/robot/rezeroStrategies';
import { BATTERY, END } from '../core/runs/description';
import * as table from '../core/table/description';
import { DAMPING_LOOK } from '../core/trials/gain';
import { LISTS } from '../core/trials/lists/registry';
import { MADE_UNDER } from '../core/trials/lists/madeUnder';
import { TRIAL_KINDS } from '../core/trials/registry';
import { AFTER_DRIVE } from '../core/trials/turn';
import * as unit from '../core/devices/description';
import { kindOf, type DeviceKindName } from '../core/devices/registry';

/** What is described of a record, part by part. */
interface Parts {
  readonly [name: string]: AnyValue | Parts;
}

const UNIT: Parts = {
  ...unit.LABEL,
  ...unit.FACING,
  ...unit.WORDS,
  ...unit.ADDRESS,
  place: unit.PLACE,
  raw: unit.RAW,
};

/** Each way of getting rid of drift by its name. */
const CURES: Parts = Object.fromEntries(
  REZERO_STRATEGIES.map((name) => [name, { takesS: robot.TAKES }]),
);

const ROBOT: Parts = {
  ...robot.SIZES,
  ...robot.LOOP,
  body: robot.BODY,
  motors: robot.MOTORS,
  errors: robot.ROBOT_ERRORS,
  signs: robot.SIGNS,
  build: { ...robot.BUILD, driftCures: CURES },
  program: { ...robot.PROGRAM, ...robot.TOLD, speeds: robot.TIMED_DRIVE },
};

const TABLE: Parts = {
  ...table.TABLE,
  walls: table.SEGMENT,
  lines: { ...table.SEGMENT, ...table.LINE },
  fields: table.SEGMENT,
  missions: { ...table.MISSION, pose: table.POSE, window: table.WINDOW },
};

/** What a record's own words choose: which procedure's trials, which kind of unit. */
interface Named {
  procedure?: string;
  kind?: DeviceKindName;
}

/** All that is described below a record that says so much of itself. */
function partsOf({ procedure = '' }: Named): Parts {
  const trial = { ...TRIAL_KINDS[procedure]?.fields };
  return {
    ...END,
    ...BATTERY,
    robot: ROBOT,
    table: TABLE,
    match: { ...MATCH, launches: LAUNCH },
    unit: UNIT,
    settings: SETTINGS,
    conditions: { ...MADE_UNDER, ...LISTS[procedure] },
    trials: { ...trial, afterDrive: AFTER_DRIVE, damping: DAMPING_LOOK },
  };
}

/** How the value at a path of a record is described; undefined where it is not. */
export function describedAt(path: string, record: unknown): AnyValue | undefined {
  let here: unknown = record;
  let parts: AnyValue | Parts | undefined = partsOf((record ?? {}) as Named);
  for (const key of path.split('.')) {
    const { kind } = (here ?? {}) as Named;
    here = Object(here)[key];
    // A place in a list leads no deeper.
    if (/^\d+$/.test(key)) continue;
    if (key === 'units') parts = UNIT;
    else if (key === 'behaviour') parts = kind && kindOf(kind).behaviour;
    else parts = (parts as Parts | undefined)?.[key];
  }
  return typeof parts?.is === 'string' ? (parts as AnyValue) : undefined;
}
