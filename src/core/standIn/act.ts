import { z } from 'zod';
import { colourSchema } from '../colour/schema';
import { valueSchema } from '../description/schema';
import { degreesFromRadians } from '../geometry/angle';
import { PLACING_WAYS, type PlacingWay } from '../calibrationValues/placingWays';
import { routeSchema } from '../course/route';
import { robotSchema } from '../robot/robot';
import { tableSchema } from '../table/table';
import { movedDegrees } from './attachmentMove';
import { aboutProgram } from './about';
import { ROLLED_BY_HAND, TARGET, TURNED_BY_HAND } from './byHand';
import { benchStepSchema } from './steps/benchStep';
import { decide, withEpoch, withMotion } from './changes';
import { driveRoute } from './driveRoute';
import { placeAt } from './place';
import { UNDER_LOAD_V, batteryVoltsAt } from './readings';
import { busyUntilS, epochAt, keptMotions, standInTime, type Motion, type StandIn } from './state';
import type { StandInTruth } from './truth';

/** What can be done with a stand-in robot. */
export const standInActionSchema = z.discriminatedUnion('do', [
  z.object({ do: z.literal('power-on'), inHand: z.boolean() }),
  z.object({ do: z.literal('power-off') }),
  z.object({ do: z.literal('reconnect-sensor'), inHand: z.boolean() }),
  z.object({ do: z.literal('reinitialise-sensor'), inHand: z.boolean() }),
  z.object({ do: z.literal('zero') }),
  z.object({ do: z.literal('turn-by-hand'), angleRad: valueSchema(TURNED_BY_HAND) }),
  z.object({ do: z.literal('roll-by-hand'), distanceM: valueSchema(ROLLED_BY_HAND) }),
  z.object({ do: z.literal('touch') }),
  z.object({ do: z.literal('tilt') }),
  z.object({
    do: z.literal('put-back'),
    how: z.enum(PLACING_WAYS).optional().describe('left out: as exactly as a careful hand can'),
  }),
  z.object({ do: z.literal('set-target'), distanceM: valueSchema(TARGET).nullable() }),
  z.object({ do: z.literal('lay-card'), colour: colourSchema.nullable() }),
  z.object({ do: z.literal('press-button'), down: z.boolean() }),
  z.object({
    do: z.literal('turn-attachment'),
    unitId: z.string().max(40),
    angleRad: z.number().min(-20).max(20),
  }),
  z.object({
    do: z.literal('move-attachment'),
    unitId: z.string().max(40),
    toRad: z.number().min(-100).max(100),
    came: z.enum(['up', 'down']),
    speedRadPerS: z.number().positive().max(50),
    load: z.enum(['empty', 'loaded']),
  }),
  z.object({ do: z.literal('run'), steps: z.array(benchStepSchema).min(1).max(20) }),
  z.object({ do: z.literal('stop') }),
  z.object({
    do: z.literal('drive-route'),
    robot: robotSchema.describe('as the team believes it to be: its program is made for it'),
    table: tableSchema,
    route: routeSchema,
  }),
  z.object({
    do: z.literal('set-clock'),
    rate: z.union([z.literal(0), z.literal(1), z.literal(10)]),
  }),
  z.object({ do: z.literal('advance'), durationS: z.number().min(0).max(3600) }),
  z.object({ do: z.literal('charge') }),
  z.object({ do: z.literal('reveal') }),
]);

export type StandInAction = z.output<typeof standInActionSchema>;

/** Why an action cannot be done now, in a sentence. */
export class CannotDo extends Error {}

/**
 * The sensor finds its zero rate anew: held still it nearly always does, in the hand it takes the
 * hand's motion for rest. Zero is set to the heading at the end of it.
 */
function startSensor(
  state: StandIn,
  truth: StandInTruth,
  nowS: number,
  { inHand, works, powered }: { inHand: boolean; works: number; powered: boolean },
): StandIn {
  const random = decide(state);
  const moved = inHand ? withMotion(state, truth, nowS, { by: 'carried' }) : state;
  const fresh =
    (inHand ? truth.handDriftRadPerS * (0.7 + 0.6 * random.uniform()) : 0) +
    truth.stillDriftSdRadPerS * random.normal();
  const before = epochAt(state, nowS).driftRadPerS;
  const worked = random.uniform() < works;
  return withEpoch(moved, nowS, {
    on: true,
    zeroRad: placeAt(truth.robot, state, nowS).pose.headingRad,
    zeroS: nowS,
    driftRadPerS: worked || inHand ? fresh : before,
    ...(powered && { walkSeed: state.seed + 7919 * (state.decisions + 1), poweredS: nowS }),
  });
}

function needOn(state: StandIn, nowS: number): void {
  if (!epochAt(state, nowS).on)
    throw new CannotDo('The stand-in is switched off: switch it on first.');
}

function needRest(state: StandIn, nowS: number): void {
  if (nowS < busyUntilS(state))
    throw new CannotDo('The stand-in is still moving: wait until it stands.');
}

const NOT_OFF = { xM: 0, yM: 0, headingRad: 0 };

/** How far placings scatter: along and across, and of the heading. */
const PLACED = {
  carefully: { lengthM: 0.001, angleRad: 0.004 },
  'in the jig': { lengthM: 0.0012, angleRad: 0.005 },
  'by hand': { lengthM: 0.004, angleRad: 0.015 },
} as const;

/** Put down at the starting marks again. */
function putBack(
  state: StandIn,
  truth: StandInTruth,
  nowS: number,
  how: PlacingWay | 'carefully' = 'carefully',
): StandIn {
  const random = decide(state);
  const carried = withMotion(state, truth, nowS, { by: 'carried' });
  const motion = carried.motions.at(-1);
  if (motion === undefined) return carried;
  const { lengthM, angleRad } = PLACED[how];
  const aim = how === 'in the jig' ? truth.jigAim : NOT_OFF;
  const turns = Math.round(motion.start.pose.headingRad / (2 * Math.PI));
  const pose = {
    xM: aim.xM + lengthM * random.normal(),
    yM: aim.yM + lengthM * random.normal(),
    headingRad: 2 * Math.PI * turns + aim.headingRad + angleRad * random.normal(),
  };
  const put = { ...motion, end: { ...motion.end, pose } };
  return { ...carried, motions: [...carried.motions.slice(0, -1), put] };
}

/** Whatever moves it ends here and now; what was read of the motion until then stays as it was. */
function stopped(state: StandIn, truth: StandInTruth, nowS: number): StandIn {
  if (nowS >= busyUntilS(state)) return state;
  const here = placeAt(truth.robot, state, nowS);
  const stop: Motion = { fromS: nowS, toS: nowS, what: { by: 'stop' }, start: here, end: here };
  return { ...state, motions: keptMotions([...state.motions, stop]) };
}

function setClock(state: StandIn, nowMs: number, rate: 0 | 1 | 10): StandIn {
  return { ...state, clock: { rate, anchorMs: nowMs, anchorS: standInTime(state, nowMs) } };
}

/**
 * Do something with the stand-in.
 *
 * @param nowMs the wall clock, for the stand-in's own
 * @throws CannotDo with a sentence when it cannot be done now
 */
export function act(
  state: StandIn,
  truth: StandInTruth,
  action: StandInAction,
  nowMs: number,
): StandIn {
  const nowS = standInTime(state, nowMs);
  switch (action.do) {
    case 'power-on': {
      needRest(state, nowS);
      return startSensor(state, truth, nowS, { inHand: action.inHand, works: 1, powered: true });
    }
    case 'power-off':
      return withEpoch(stopped(state, truth, nowS), nowS, { on: false });
    case 'reconnect-sensor':
    case 'reinitialise-sensor': {
      needOn(state, nowS);
      needRest(state, nowS);
      const works =
        action.do === 'reconnect-sensor' ? truth.reconnectWorks : truth.reinitialiseWorks;
      return startSensor(state, truth, nowS, { inHand: action.inHand, works, powered: false });
    }
    case 'zero':
      needOn(state, nowS);
      return withEpoch(state, nowS, {
        zeroRad: placeAt(truth.robot, state, nowS).pose.headingRad,
        zeroS: nowS,
      });
    case 'turn-by-hand':
      needRest(state, nowS);
      return withMotion(state, truth, nowS, { by: 'hand-turn', angleRad: action.angleRad });
    case 'roll-by-hand':
      needRest(state, nowS);
      return withMotion(state, truth, nowS, { by: 'hand-roll', distanceM: action.distanceM });
    case 'touch': {
      needRest(state, nowS);
      const random = decide(state);
      const angleRad = (random.uniform() < 0.5 ? -1 : 1) * (0.08 + 0.12 * random.uniform());
      return withMotion(state, truth, nowS, { by: 'touch', angleRad });
    }
    case 'tilt':
      needRest(state, nowS);
      return withMotion(state, truth, nowS, { by: 'tilt' });
    case 'put-back':
      needRest(state, nowS);
      return putBack(state, truth, nowS, action.how);
    case 'set-target': {
      if (action.distanceM === null) return { ...state, target: null };
      const { pose } = placeAt(truth.robot, state, nowS);
      const atRad = pose.headingRad;
      const atM = pose.xM * Math.cos(atRad) + pose.yM * Math.sin(atRad);
      return { ...state, target: { distanceM: action.distanceM, atM, atRad } };
    }
    case 'lay-card':
      return { ...state, card: action.colour };
    case 'press-button':
      return { ...state, buttonDown: action.down };
    case 'turn-attachment': {
      const before = state.attachmentDegrees[action.unitId] ?? 0;
      const turned = before + degreesFromRadians(action.angleRad);
      return {
        ...state,
        attachmentDegrees: { ...state.attachmentDegrees, [action.unitId]: turned },
      };
    }
    case 'move-attachment': {
      needOn(state, nowS);
      const degrees = movedDegrees(state.seed, action, decide(state));
      return {
        ...state,
        attachmentDegrees: { ...state.attachmentDegrees, [action.unitId]: degrees },
        decisions: state.decisions + 1,
      };
    }
    case 'run':
      needOn(state, nowS);
      needRest(state, nowS);
      return withMotion(state, truth, nowS, {
        by: 'program',
        steps: action.steps,
        seed: Math.floor(decide(state).uniform() * 4294967295),
        driftRadPerS: epochAt(state, nowS).driftRadPerS,
        batteryV: batteryVoltsAt(truth, state, nowS) - UNDER_LOAD_V,
        about: aboutProgram(truth, state, action.steps, placeAt(truth.robot, state, nowS).pose),
      });
    case 'stop':
      return stopped(state, truth, nowS);
    case 'drive-route':
      needOn(state, nowS);
      needRest(state, nowS);
      return driveRoute(state, truth, nowS, action);
    case 'set-clock':
      return setClock(state, nowMs, action.rate);
    case 'advance': {
      if (state.clock.rate !== 0) {
        throw new CannotDo('The clock runs by itself: set it to “stepped” to move it by hand.');
      }
      const clock = { ...state.clock, anchorS: state.clock.anchorS + action.durationS };
      return { ...state, clock };
    }
    case 'charge':
      return { ...state, usedS: 0 };
    case 'reveal':
      return { ...state, revealed: true };
  }
}
