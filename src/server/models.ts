import {
  DataTypes,
  type Model,
  type ModelAttributeColumnOptions,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';

const ulid = { type: DataTypes.CHAR(26), allowNull: false };
const ulidOrNull = { ...ulid, allowNull: true };
const id = { ...ulid, primaryKey: true };
const version = { type: DataTypes.INTEGER.UNSIGNED, allowNull: false };
const text = (length: number) => ({ type: DataTypes.STRING(length), allowNull: false });
const textOrNull = (length: number) => ({ type: DataTypes.STRING(length), allowNull: true });
const json = { type: DataTypes.JSON, allowNull: false };
const jsonOrNull = { type: DataTypes.JSON, allowNull: true };
const double = { type: DataTypes.DOUBLE, allowNull: false };
const doubleOrNull = { type: DataTypes.DOUBLE, allowNull: true };
const integer = { type: DataTypes.INTEGER, allowNull: false };
const time = { type: DataTypes.DATE(3), allowNull: false };
const timeOrNull = { type: DataTypes.DATE(3), allowNull: true };
/** Given by a counter of the database: the order in which rows came, whatever the clock says. */
const entry = { type: DataTypes.BIGINT, allowNull: true };

/** The columns of every table; units in the names, as everywhere. */
const TABLES = {
  team: { id, version, name: text(80), settings: jsonOrNull },
  robot: { id, version, teamId: ulid, name: text(80), robot: json, archivedAt: timeOrNull },
  stockUnit: { id, version, teamId: ulid, unit: json, archivedAt: timeOrNull },
  course: {
    id,
    version,
    teamId: ulid,
    name: text(80),
    widthM: double,
    heightM: double,
    walls: json,
    lines: json,
    floorColour: text(7),
    mat: jsonOrNull,
    fields: json,
    obstacles: json,
    homeAreas: json,
    archivedAt: timeOrNull,
  },
  mission: {
    courseId: { ...ulid, primaryKey: true },
    id: { ...text(40), primaryKey: true },
    position: { type: DataTypes.INTEGER, allowNull: false },
    name: text(60),
    points: { type: DataTypes.INTEGER, allowNull: false },
    xM: double,
    yM: double,
    headingRad: double,
    windowAlongM: double,
    windowAcrossM: double,
    windowHeadingRad: double,
    parts: json,
    after: json,
  },
  route: {
    id,
    version,
    teamId: ulid,
    courseId: ulid,
    robotId: ulid,
    name: text(80),
    archivedAt: timeOrNull,
  },
  routeVersion: {
    id,
    teamId: ulid,
    routeId: ulid,
    number: { type: DataTypes.INTEGER, allowNull: false },
    note: text(500),
    route: json,
    savedAt: time,
  },
  courseMatch: { id, version, teamId: ulid, match: json },
  runPlan: { id, teamId: ulid, plan: json, madeAt: time },
  series: {
    id,
    version,
    teamId: ulid,
    routeVersionId: ulid,
    trying: text(200),
    plannedRuns: { type: DataTypes.INTEGER, allowNull: false },
    battery: textOrNull(40),
    tableLabel: textOrNull(40),
    archivedAt: timeOrNull,
    startedAt: time,
    entry,
    frozen: jsonOrNull,
    planId: ulidOrNull,
  },
  run: {
    id,
    version,
    teamId: ulid,
    seriesId: ulid,
    number: { type: DataTypes.INTEGER, allowNull: false },
    happenedAt: time,
    placedBy: textOrNull(40),
    battery: textOrNull(40),
    batteryV: doubleOrNull,
    endXM: doubleOrNull,
    endYM: doubleOrNull,
    endHeadingRad: doubleOrNull,
    worked: { type: DataTypes.BOOLEAN, allowNull: true },
    missions: json,
    cause: textOrNull(40),
    note: textOrNull(500),
    setAsideReason: textOrNull(200),
    routeId: ulidOrNull,
    robotId: ulidOrNull,
  },
  standIn: { id, teamId: ulid, state: json },
  typedProgram: {
    id,
    teamId: ulid,
    routeId: ulid,
    routeVersionId: ulid,
    robotId: ulid,
    sheet: json,
    typedAt: time,
  },
  robotChange: {
    id,
    teamId: ulid,
    robotId: ulid,
    part: text(40),
    note: text(500),
    who: textOrNull(40),
    changedAt: time,
  },
  benchLog: {
    id,
    teamId: ulid,
    robotId: ulid,
    name: text(80),
    source: text(20),
    columns: json,
    pieces: integer,
    samples: integer,
    takenAt: time,
  },
  benchLogColumn: {
    logId: { ...ulid, primaryKey: true },
    channel: { ...text(64), primaryKey: true },
    number: { ...integer, primaryKey: true },
    data: { type: DataTypes.BLOB('medium'), allowNull: false },
  },
  stillCheck: {
    id,
    version,
    teamId: ulid,
    robotId: ulid,
    logId: ulid,
    unitId: textOrNull(40),
    takenAt: time,
    powerUp: text(40),
    sincePowerUpS: doubleOrNull,
    school: textOrNull(40),
    beforeId: ulidOrNull,
    runDurationS: double,
    toleranceRad: double,
    displayStepRad: doubleOrNull,
    settings: jsonOrNull,
    result: json,
    setAsideReason: textOrNull(200),
  },
  benchTrials: {
    id,
    version,
    teamId: ulid,
    robotId: ulid,
    procedure: text(20),
    conditions: json,
    trials: json,
    startedAt: time,
    archivedAt: timeOrNull,
    entry,
  },
  calibration: {
    id,
    teamId: ulid,
    robotId: ulid,
    unitId: textOrNull(40),
    kind: text(20),
    value: json,
    evidence: json,
    surface: textOrNull(40),
    battery: textOrNull(40),
    madeAt: time,
    entry,
  },
  calibrationChange: {
    id,
    teamId: ulid,
    robotId: ulid,
    unitId: textOrNull(40),
    kind: text(20),
    calibrationId: ulidOrNull,
    reason: text(500),
    who: textOrNull(40),
    checked: { type: DataTypes.BOOLEAN, allowNull: false },
    changedAt: time,
    entry,
  },
} as const;

/** The tables whose rows say which team they are of; the others are reached through what they belong to. */
export const OF_TEAM = (Object.keys(TABLES) as (keyof typeof TABLES)[]).filter(
  (name) => 'teamId' in TABLES[name],
);

/** What follows from other tables: no part of a backup, and made anew when it is missing. */
const DERIVED = {
  seriesComparison: {
    seriesId: { ...ulid, primaryKey: true },
    state: text(200),
    comparison: json,
  },
  seriesFinding: {
    seriesId: { ...ulid, primaryKey: true },
    state: text(120),
    findings: json,
    ends: json,
  },
} as const;

export const DERIVED_NAMES = Object.keys(DERIVED) as (keyof typeof DERIVED)[];

export type TableName = keyof typeof TABLES;
/** In an order in which rows can be inserted: what is pointed to comes first. */
export const TABLE_NAMES = Object.keys(TABLES) as TableName[];

export type Row = Model<Record<string, unknown>, Record<string, unknown>>;
export type Models = Record<TableName | keyof typeof DERIVED, ModelStatic<Row>>;

/** SQL names are snake_case: endXM is end_x_m. */
export const columnName = (attribute: string): string =>
  attribute.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`);

export function defineModels(sequelize: Sequelize): Models {
  const define = ([name, columns]: [string, Record<string, ModelAttributeColumnOptions>]) => {
    const attributes = Object.fromEntries(
      Object.entries(columns).map(([key, column]) => [key, { ...column, field: columnName(key) }]),
    );
    return sequelize.define<Row>(name, attributes, { tableName: columnName(name) });
  };
  return Object.fromEntries(
    Object.entries({ ...TABLES, ...DERIVED }).map((table) => [table[0], define(table)]),
  ) as Models;
}
