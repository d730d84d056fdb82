import { orderOf } from '../../core/compare/plan/mixedOrder';
import { wayLabels, WAYS } from '../../core/compare/plan/ways';
import type { Robot } from '../../core/robot/robot';
import type { RunPlanRecord } from '../../formats/runs/runPlan';
import { demoId } from './ids';
import {
  BY_HAND,
  drifting,
  hiddenPipit,
  IN_THE_JIG,
  sag,
  tired,
  type DemoSeries,
} from './scenario';

/** Wheels that nobody wiped slip more; wiped ones less. */
const slipping = (robot: Robot, slipMPerSqrtM: number): Robot => ({
  ...robot,
  errors: { ...robot.errors, slipMPerSqrtM },
});
const wiped = (robot: Robot) => slipping(robot, 0.0012);
const dusty = (robot: Robot) => slipping(robot, 0.0065);

const BY_A_LINE = { alongSdM: 0.004, acrossSdM: 0.003, headingSdRad: BY_HAND.headingSdRad / 2 };
const IN_A_HURRY = {
  alongSdM: 0.011,
  acrossSdM: 0.009,
  headingSdRad: BY_HAND.headingSdRad * 1.4,
};

const fresh = sag('B1', 8.2, 0.015);
const old = sag('B3', 7.34, 0.02);

/** What a series of the first weeks was like, unless it says otherwise. */
const usual = {
  version: 1,
  runs: 14,
  placement: BY_HAND,
  robotFor: () => hiddenPipit,
  batteryFor: fresh,
};

type Told = Pick<DemoSeries, 'trying' | 'day'> & Partial<DemoSeries>;

const single: Told[] = [
  { trying: 'First runs of the route', day: '2026-09-12T09:30:00.000Z' },
  { trying: 'The same a week later', day: '2026-09-19T09:20:00.000Z' },
  {
    trying: 'In the school hall, on its dusty mat',
    day: '2026-09-22T15:00:00.000Z',
    table: 'school hall',
    robotFor: () => dusty(hiddenPipit),
  },
  {
    trying: 'In the school hall, wheels wiped before every run',
    day: '2026-09-24T15:10:00.000Z',
    table: 'school hall',
    robotFor: () => wiped(hiddenPipit),
  },
  {
    trying: 'Moss alone places the robot',
    day: '2026-10-01T15:00:00.000Z',
    placers: ['Moss'],
    placement: BY_A_LINE,
  },
  {
    trying: 'Juniper alone places it, in a hurry',
    day: '2026-10-01T16:10:00.000Z',
    placers: ['Juniper'],
    placement: IN_A_HURRY,
  },
  {
    trying: 'The old battery',
    day: '2026-10-03T09:30:00.000Z',
    batteryFor: old,
    robotFor: () => tired(hiddenPipit),
  },
  { trying: 'The good battery again', day: '2026-10-03T10:40:00.000Z' },
];

const later: Told[] = [
  {
    trying: 'Robot carried while it started',
    day: '2026-10-24T09:20:00.000Z',
    runs: 10,
    robotFor: () => drifting(hiddenPipit),
  },
  { trying: 'The same, left in peace', day: '2026-10-24T10:10:00.000Z', runs: 12 },
  { trying: 'Before the autumn break, as it is', day: '2026-10-29T15:00:00.000Z', runs: 30 },
];

/** A plan that was driven to its end in one afternoon, and how each of its ways is. */
interface DemoPlan {
  plan: RunPlanRecord;
  ways: Told[];
}

/** Minutes from the start at which the runs of a way come, in the mixed order of its plan. */
function turnsOf(ways: number, perSeries: number, way: number) {
  const turns = orderOf(ways, perSeries).flatMap((one, i) => (one === WAYS[way] ? [i] : []));
  return (i: number) => 3 * (turns[i] ?? i);
}

function planOf(
  n: number,
  first: number,
  asked: Pick<RunPlanRecord, 'about' | 'amount' | 'changes' | 'perSeries'>,
  day: string,
  ways: Partial<DemoSeries>[],
): DemoPlan {
  const id = demoId('P', n);
  const labels = wayLabels(asked.changes);
  const seriesIds = ways.map((_, i) => demoId('S', first + i));
  return {
    plan: { id, formatVersion: 1, ...asked, seriesIds },
    ways: ways.map((way, i) => {
      const label = labels[i] ?? '';
      return {
        trying: label.charAt(0).toUpperCase() + label.slice(1),
        day,
        runs: asked.perSeries,
        planId: id,
        minuteOf: turnsOf(ways.length, asked.perSeries, i),
        ...way,
      };
    }),
  };
}

/** The number of the first earlier series: the three that the season leads up to come first. */
const FIRST = 4;
const FIRST_PLANNED = FIRST + single.length;

export const PLANS: readonly DemoPlan[] = [
  planOf(
    1,
    FIRST_PLANNED,
    { about: 'spread', amount: 0.008, changes: ['the line to place by'], perSeries: 14 },
    '2026-10-10T09:00:00.000Z',
    [{}, { placement: BY_A_LINE }],
  ),
  planOf(
    2,
    FIRST_PLANNED + 2,
    {
      about: 'spread',
      amount: 0.008,
      changes: ['wiped wheels', 'the corner frame'],
      perSeries: 12,
    },
    '2026-10-17T09:00:00.000Z',
    [
      { robotFor: () => dusty(hiddenPipit) },
      { robotFor: () => wiped(hiddenPipit) },
      { robotFor: () => dusty(hiddenPipit), placement: IN_THE_JIG },
      { robotFor: () => wiped(hiddenPipit), placement: IN_THE_JIG },
    ],
  ),
];

/** The weeks before the three series that the season leads up to, in their order. */
export const EARLIER: readonly (DemoSeries & { number: number })[] = [
  ...single,
  ...PLANS.flatMap(({ ways }) => ways),
  ...later,
].map((told, i) => {
  const whole = { ...usual, ...told };
  return { planned: whole.runs, seed: 4200 + i, ...whole, number: FIRST + i };
});
