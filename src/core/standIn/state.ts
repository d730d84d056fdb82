import { z } from 'zod';
import { colourSchema } from '../colour/schema';
import { poseSchema, tableSchema } from '../table/table';
import { robotSchema, type Robot } from '../robot/robot';
import { routeSchema } from '../course/route';
import { benchStepSchema } from './steps/benchStep';

/** How a motion of the stand-in came about. */
const motionSchema = z.object({
  fromS: z.number(),
  toS: z.number(),
  what: z.discriminatedUnion('by', [
    z.object({ by: z.literal('hand-turn'), angleRad: z.number() }),
    z.object({ by: z.literal('hand-roll'), distanceM: z.number() }),
    z.object({ by: z.literal('carried') }),
    z.object({ by: z.literal('tilt') }),
    z.object({ by: z.literal('stop') }),
    z.object({ by: z.literal('touch'), angleRad: z.number() }),
    z.object({
      by: z.literal('program'),
      steps: z.array(benchStepSchema),
      seed: z.number().int(),
      driftRadPerS: z.number(),
      /** Of the battery under way; stand-ins of an earlier Corvat have none. */
      batteryV: z.number().positive().optional(),
      /** What stood and lay about it, told from where it began. */
      about: tableSchema.pick({ walls: true, lines: true }).prefault({}),
    }),
    z.object({
      by: z.literal('route'),
      /** As the program was made for it. */
      robot: robotSchema,
      table: tableSchema,
      route: routeSchema,
      seed: z.number().int(),
      driftRadPerS: z.number(),
      batteryV: z.number().positive(),
    }),
  ]),
  /** The true pose (heading unwrapped) and wheel rolls when it began, and when it was over. */
  start: z.object({ pose: poseSchema, leftM: z.number(), rightM: z.number() }),
  end: z.object({ pose: poseSchema, leftM: z.number(), rightM: z.number() }),
});

/** From a moment on the heading sensor behaves so, until the next entry. */
const epochSchema = z.object({
  fromS: z.number(),
  on: z.boolean(),
  /** The true heading that is read as zero. */
  zeroRad: z.number(),
  /** The sensor's own zero: its drift counts from here. */
  zeroS: z.number(),
  driftRadPerS: z.number(),
  /** Seed of its random walk. */
  walkSeed: z.number().int(),
  /** When it was powered up: the warm-up counts from here. */
  poweredS: z.number(),
});

/**
 * A stand-in robot as it is kept: its clock, its motions and how its heading sensor behaved. What it
 * reads at any moment follows from this alone, so that any web process can answer for it.
 */
export const standInSchema = z.object({
  seed: z.number().int(),
  robotId: z.string(),
  /** The record of its robot when it was unpacked: later corrections of the record do not change it. */
  record: robotSchema,
  /** Robot seconds = anchorS + rate · seconds since anchorMs; rate 0: the clock is stepped by hand. */
  clock: z.object({
    rate: z.union([z.literal(0), z.literal(1), z.literal(10)]),
    anchorMs: z.number(),
    anchorS: z.number(),
  }),
  epochs: z.array(epochSchema).min(1),
  motions: z.array(motionSchema),
  /** A flat thing held or taped in front: its true distance from the sensor when it was put there. */
  target: z.object({ distanceM: z.number(), atM: z.number(), atRad: z.number() }).nullable(),
  /** A card that lies under all of it: its colour. */
  card: colourSchema.nullable().default(null),
  buttonDown: z.boolean(),
  /** How far the motor of each attachment was turned by hand, by unit. */
  attachmentDegrees: z.record(z.string(), z.number()).default({}),
  /** How often something random was decided: each decision has a stream of its own. */
  decisions: z.number().int(),
  /** Battery charge used, as seconds of standing about. */
  usedS: z.number(),
  revealed: z.boolean(),
  /** The last actions, by the ids their clients gave them: a repeated one is the same one. */
  done: z.array(z.string()),
});

export type StandIn = z.output<typeof standInSchema>;
export type Motion = z.output<typeof motionSchema>;
export type Epoch = z.output<typeof epochSchema>;

/** How much of the past stays readable. */
export const KEPT_EVENTS = 60;
/** A route is kept with its table: so many of them, and nothing that was before. */
const KEPT_ROUTES = 3;

/** The motions that stay readable. */
export function keptMotions(motions: readonly Motion[]): Motion[] {
  const routes = motions.flatMap(({ what }, i) => (what.by === 'route' ? [i] : []));
  return motions.slice(Math.max(routes.at(-KEPT_ROUTES) ?? 0, motions.length - KEPT_EVENTS));
}

/** Whether the robot drives by itself in a motion, its motors under load. */
export const drivesItself = ({ by }: Motion['what']): boolean => by === 'program' || by === 'route';

const STANDING = { pose: { xM: 0, yM: 0, headingRad: 0 }, leftM: 0, rightM: 0 };

/** A stand-in that was just unpacked: switched off, on the table. */
export const newStandIn = (
  robotId: string,
  record: Robot,
  seed: number,
  nowMs: number,
): StandIn => ({
  seed,
  robotId,
  record,
  clock: { rate: 1, anchorMs: nowMs, anchorS: 0 },
  epochs: [
    { fromS: 0, on: false, zeroRad: 0, zeroS: 0, driftRadPerS: 0, walkSeed: 0, poweredS: 0 },
  ],
  motions: [],
  target: null,
  card: null,
  buttonDown: false,
  attachmentDegrees: {},
  decisions: 0,
  usedS: 0,
  revealed: false,
  done: [],
});

/** The stand-in's own time at a moment of the wall clock. */
export function standInTime({ clock }: StandIn, nowMs: number): number {
  return clock.anchorS + (clock.rate * Math.max(0, nowMs - clock.anchorMs)) / 1000;
}

/**
 * A stand-in whose clock goes on from the latest moment that is known of it, where the wall clock was set back behind
 * that; any other as it is.
 */
export function neverBack(state: StandIn, nowMs: number): StandIn {
  const { rate, anchorS } = state.clock;
  if (rate === 0) return state;
  const begun = [...state.motions, ...state.epochs].map(({ fromS }) => fromS);
  const knownS = Math.max(anchorS, ...begun);
  const isBehind = nowMs < state.clock.anchorMs || standInTime(state, nowMs) < knownS;
  return isBehind ? { ...state, clock: { rate, anchorMs: nowMs, anchorS: knownS } } : state;
}

/** Where it stands when nothing moves it any more. */
export const lastPlace = ({ motions }: StandIn): Motion['end'] => motions.at(-1)?.end ?? STANDING;

/** When it comes to rest: after this it only stands. */
export const busyUntilS = ({ motions }: StandIn): number => motions.at(-1)?.toS ?? 0;

const latest = <T extends { fromS: number }>(list: readonly T[], tS: number): T | undefined =>
  list.findLast(({ fromS }) => fromS <= tS);

export const epochAt = (state: StandIn, tS: number): Epoch =>
  latest(state.epochs, tS) ?? (state.epochs[0] as Epoch);

export const motionAt = (state: StandIn, tS: number): Motion | undefined =>
  latest(state.motions, tS);
