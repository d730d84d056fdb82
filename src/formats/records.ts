import { z } from 'zod';
import { routeSchema } from '../core/course/route';
import { shapeOf, valueSchema } from '../core/description/schema';
import { matchSchema } from '../core/match/match';
import { BATTERY, END, PLANNED_RUNS } from '../core/runs/description';
import { tableSchema } from '../core/table/table';
import { robotSchema } from '../core/robot/robot';
import { deviceSchema } from '../core/devices/device';
import { id, name, note, shortText, time, version } from './fields';
import { teamSettings } from './teamSettings';

/** The records that pass between browser, server and files, in SI units and radians. */
export const teamRecord = z.object({
  id,
  version,
  name,
  settings: teamSettings.nullish().transform((settings) => settings ?? teamSettings.parse({})),
});

/** When it was put out of the way; null: it is in use. */
const archivedAt = time.nullable().default(null);

export const robotRecord = z.object({
  id,
  version,
  teamId: id,
  name,
  robot: robotSchema,
  archivedAt,
});

/** A unit of the team's stock: on a robot or not, what is known of it stays. */
export const stockDeviceRecord = z.object({
  id,
  version,
  teamId: id,
  unit: deviceSchema,
  archivedAt,
});

export const courseRecord = z.object({
  id,
  version,
  teamId: id,
  name,
  table: tableSchema,
  archivedAt,
});

/** What is driven in a match on a course: one a course, with its id. */
export const matchRecord = z.object({ id, version, match: matchSchema });

export const routeRecord = z.object({ id, version, courseId: id, robotId: id, name, archivedAt });

/** A route as it was saved once; never changed. The number is given by the server. */
export const routeVersionRecord = z.object({ id, routeId: id, note, route: routeSchema });

export const savedRouteVersion = routeVersionRecord.extend({
  number: z.number().int(),
  savedAt: time,
});

export const seriesRecord = z.object({
  id,
  version,
  routeVersionId: id,
  trying: z.string().trim().min(1, 'expected what is being tried').max(200),
  plannedRuns: valueSchema(PLANNED_RUNS),
  battery: shortText.nullable(),
  tableLabel: shortText.nullable(),
  archivedAt,
  planId: id.nullable().default(null).describe('the plan of runs that it belongs to'),
});

export const savedSeries = seriesRecord.extend({ startedAt: time });

/** A table has so many missions at most. */
const MAX_MISSIONS = 15;

const runFields = z.object({
  id,
  version,
  seriesId: id,
  happenedAt: time,
  placedBy: shortText.nullable(),
  battery: shortText.nullable(),
  ...shapeOf(BATTERY),
  ...shapeOf(END),
  worked: z.boolean().nullable().describe('whether the run as a whole did what it should'),
  missions: z
    .record(z.string().max(40), z.boolean())
    .refine((missions) => Object.keys(missions).length <= MAX_MISSIONS, {
      message: `expected at most ${MAX_MISSIONS} missions`,
    }),
  cause: shortText.nullable(),
  note: note.nullable(),
  setAsideReason: z.string().trim().min(1, 'expected a reason').max(200).nullable(),
});

export const runRecord = runFields.refine((run) => (run.endXM === null) === (run.endYM === null), {
  message: 'expected both x and y of the end, or neither',
  path: ['endXM'],
});

/** What the server adds to a run: its place in the series. */
export const savedRun = runFields.extend({ number: z.number().int() });

export const MAX_IMPORT_RUNS = 2000;

export const runImport = z.object({ runs: z.array(runRecord).min(1).max(MAX_IMPORT_RUNS) });

/** What a new team begins with. */
export const teamSetUp = z.object({
  team: teamRecord,
  robot: robotRecord,
  course: courseRecord,
  route: routeRecord,
  another: z.boolean().optional().describe('beside the teams that are there'),
});

export type TeamRecord = z.output<typeof teamRecord>;
export type RobotRecord = z.output<typeof robotRecord>;
export type StockDeviceRecord = z.output<typeof stockDeviceRecord>;
export type CourseRecord = z.output<typeof courseRecord>;
export type MatchRecord = z.output<typeof matchRecord>;
export type RouteRecord = z.output<typeof routeRecord>;
export type RouteVersionRecord = z.output<typeof routeVersionRecord>;
export type SavedRouteVersion = z.output<typeof savedRouteVersion>;
export type SeriesRecord = z.output<typeof seriesRecord>;
export type SavedSeries = z.output<typeof savedSeries>;
export type RunRecord = z.output<typeof runRecord>;
export type SavedRun = z.output<typeof savedRun>;
export type TeamSetUp = z.output<typeof teamSetUp>;
