import type { Transaction } from 'sequelize';
import { act, CannotDo, standInView, type StandInView } from '../../core/standIn/act';
import { readingsBetween, type RawReading } from '../../core/standIn/readings';
import { newStandIn, standInSchema, standInTime, type StandIn } from '../../core/standIn/state';
import { standInTruth, type StandInTruth } from '../../core/standIn/truth';
import type { TeamRecord } from '../../formats/records';
import type { StandInRequest } from '../../formats/benchRecords';
import { type Database, inTransaction } from '../database';
import { notFound, Problem } from '../problem';
import { listRobots } from './robots';
import { findTeam } from './teams';

/** Repeated actions are known by their ids; so many are remembered. */
const REMEMBERED = 40;

/** A number from a team's identifier: its stand-in's truths are its own. */
const seedOf = (id: string): number =>
  [...id].reduce((sum, letter) => (Math.imul(sum, 31) + letter.charCodeAt(0)) | 0, 7) >>> 0;

const needTeam = async (db: Database): Promise<TeamRecord> => {
  const team = await findTeam(db);
  if (team === null) throw notFound('team');
  return team;
};

/** The stand-in of a team, unpacked at first use: it stands in for the team's first robot. */
async function load(db: Database, transaction?: Transaction) {
  const team = await needTeam(db);
  const row = await db.models.standIn.findByPk(team.id, {
    ...(transaction && { transaction, lock: true }),
  });
  if (row !== null) {
    const state = standInSchema.parse(row.get('state'));
    return { team, row, state };
  }
  const robot = (await listRobots(db))[0];
  if (robot === undefined) throw notFound('robot');
  return { team, row, state: newStandIn(robot.id, robot.robot, seedOf(team.id), Date.now()) };
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
    view: standInView(state, nowMs),
    robotId: state.robotId,
    readings: readingsBetween(truth, state, Math.max(sinceS, nowS - 620), nowS),
    truth: state.revealed ? truth : null,
  };
}

/** Read the stand-in; nothing is written, any process answers alike. */
export async function readStandIn(db: Database, sinceS: number): Promise<StandInReport> {
  const { state, row } = await load(db);
  if (row === null) {
    // Its clock begins with the first look at it.
    await inTransaction(db, async (transaction) => {
      const fresh = await load(db, transaction);
      if (fresh.row !== null) return;
      await db.models.standIn.create({ id: fresh.team.id, state: fresh.state }, { transaction });
    });
  }
  return report(state, sinceS, Date.now());
}

/** Do something with the stand-in, one after the other whoever asks; the same request twice is one. */
export const actOnStandIn = (
  db: Database,
  { id, action }: StandInRequest,
): Promise<StandInReport> =>
  inTransaction(db, async (transaction) => {
    const { team, row, state } = await load(db, transaction);
    const nowMs = Date.now();
    if (state.done.includes(id)) return report(state, Infinity, nowMs);
    let next: StandIn;
    try {
      next = act(state, truthOf(state), action, nowMs);
    } catch (error) {
      if (error instanceof CannotDo) throw new Problem(409, 'cannot-do', error.message);
      throw error;
    }
    next = { ...next, done: [...state.done, id].slice(-REMEMBERED) };
    if (row === null) await db.models.standIn.create({ id: team.id, state: next }, { transaction });
    else await row.update({ state: next }, { transaction });
    return report(next, Infinity, nowMs);
  });
