import type { Transaction } from 'sequelize';
import { act, CannotDo } from '../../core/standIn/act';
import { standInView, type StandInView } from '../../core/standIn/view';
import { readingsBetween, type RawReading } from '../../core/standIn/readings';
import {
  neverBack,
  newStandIn,
  standInSchema,
  standInTime,
  type StandIn,
} from '../../core/standIn/state';
import { standInTruth, type StandInTruth } from '../../core/standIn/truth';
import { devicesNow } from '../../core/standIn/devicesNow';
import type { RobotRecord } from '../../formats/records';
import type { StandInRequest } from '../../formats/benchRecords';
import { type TeamDatabase, inTransaction } from '../database';
import { notFound, Problem } from '../problem';
import { steadyNow } from '../steadyNow';
import { findRobot, listRobots } from './robots';

/** Repeated actions are known by their ids; so many are remembered. */
const REMEMBERED = 40;

/** A number from a robot's identifier: its stand-in's truths are its own. */
const seedOf = (id: string): number =>
  [...id].reduce((sum, letter) => (Math.imul(sum, 31) + letter.charCodeAt(0)) | 0, 7) >>> 0;

/** A robot by its id; without one the team's first. */
async function needRobot(db: TeamDatabase, robotId: string | null): Promise<RobotRecord> {
  const robot = robotId === null ? (await listRobots(db))[0] : await findRobot(db, robotId);
  if (robot === undefined || robot === null) throw notFound('robot');
  return robot;
}

/**
 * The stand-in of a robot, unpacked at first use. Later corrections of the record do not change it, but what
 * is plugged in and taken off is.
 */
async function load(db: TeamDatabase, robotId: string | null, transaction?: Transaction) {
  const robot = await needRobot(db, robotId);
  const row = await db.models.standIn.findByPk(robot.id, {
    ...(transaction && { transaction, lock: true }),
  });
  if (row === null) {
    const state = newStandIn(robot.id, robot.robot, seedOf(robot.id), steadyNow());
    return { id: robot.id, row, state, isSetBack: false };
  }
  const kept = standInSchema.parse(row.get('state'));
  const state = neverBack(kept, steadyNow());
  const record = { ...state.record, units: devicesNow(state.record.units, robot.robot.units) };
  return { id: robot.id, row, state: { ...state, record }, isSetBack: state !== kept };
}

const truthOf = ({ record, seed }: StandIn): StandInTruth => standInTruth(record, seed);

/** What a browser sees of the stand-in: its state, and its readings since a moment. */
export interface StandInReport {
  view: StandInView;
  robotId: string;
  readings: RawReading[];
  truth: StandInTruth | null;
}

function report(state: StandIn, sinceS: number, nowMs: number): StandInReport {
  const nowS = standInTime(state, nowMs);
  const truth = truthOf(state);
  return {
    view: standInView(truth, state, nowMs),
    robotId: state.robotId,
    readings: readingsBetween(truth, state, Math.max(sinceS, nowS - 620), nowS),
    truth: state.revealed ? truth : null,
  };
}

/** Read the stand-in; any process answers alike. */
export async function readStandIn(
  db: TeamDatabase,
  robotId: string | null,
  sinceS: number,
): Promise<StandInReport> {
  const { state, row, isSetBack } = await load(db, robotId);
  if (row === null || isSetBack) {
    // Its clock begins with the first look at it, and anew where the wall clock was set back.
    await inTransaction(db, async (transaction) => {
      const fresh = await load(db, robotId, transaction);
      if (fresh.row === null)
        await db.models.standIn.create({ id: fresh.id, state: fresh.state }, { transaction });
      else if (fresh.isSetBack) await fresh.row.update({ state: fresh.state }, { transaction });
    });
  }
  return report(state, sinceS, steadyNow());
}

/** Do something with the stand-in, one after the other whoever asks; the same request twice is one. */
export const actOnStandIn = (
  db: TeamDatabase,
  { id, action, robotId }: StandInRequest,
): Promise<StandInReport> =>
  inTransaction(db, async (transaction) => {
    const { id: standInId, row, state } = await load(db, robotId, transaction);
    const nowMs = steadyNow();
    if (state.done.includes(id)) return report(state, Infinity, nowMs);
    let next: StandIn;
    try {
      next = act(state, truthOf(state), action, nowMs);
    } catch (error) {
      if (error instanceof CannotDo) throw new Problem(409, 'cannot-do', error.message);
      throw error;
    }
    next = { ...next, done: [...state.done, id].slice(-REMEMBERED) };
    if (row === null)
      await db.models.standIn.create({ id: standInId, state: next }, { transaction });
    else await row.update({ state: next }, { transaction });
    return report(next, Infinity, nowMs);
  });
