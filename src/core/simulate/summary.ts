import { isInWindow, type Pose } from '../geometry/pose';
import { plannedEnd, planRoute } from '../course/plan';
import type { Mission, Table } from '../course/table';
import { consistency, type Consistency } from '../runs/consistency';
import { wilson, type SuccessRate } from '../stats/wilson';
import { nearestWall, whyMissed } from './whyMissed';
import type { MarkPose, SimulatedRun, Simulation } from './run';

/** How the simulated runs stand at one mission. */
export interface MissionForecast {
  mission: Mission;
  /** Share of all runs whose pose at the mark lies in the mission's window. */
  chance: SuccessRate;
  /** Poses at the (first) mark, against the mission's pose; null where no run got there. */
  scatter: Consistency | null;
  /** Why it works in so few runs; null where it works in most. */
  why: string | null;
}

/** What so many simulated runs say about a route. */
export interface Forecast {
  runs: number;
  target: Pose;
  end: Consistency;
  medianTimeS: number;
  missions: MissionForecast[];
  /** Mean of the points of the missions worked, per run. */
  expectedPoints: number;
  /** Runs that stopped at each step, by step index; steps that nobody failed are left out. */
  failures: StepFailure[];
}

/** How many runs stopped at a step, and at which wall (by its number) most of those that ran into one. */
export interface StepFailure {
  step: number;
  runs: number;
  atWall: number;
  wall: number | null;
}

const median = (values: readonly number[]): number => {
  const sorted = values.toSorted((a, b) => a - b);
  const middle = Math.floor(sorted.length / 2);
  const high = sorted[middle] ?? 0;
  return sorted.length % 2 === 1 ? high : (high + (sorted[middle - 1] ?? high)) / 2;
};

function countFailures(runs: readonly SimulatedRun[], table: Table): StepFailure[] {
  const steps = new Map<number, SimulatedRun['end'][]>();
  for (const { end } of runs) {
    if (end.failedStep === null) continue;
    steps.set(end.failedStep, [...(steps.get(end.failedStep) ?? []), end]);
  }
  return [...steps]
    .map(([step, ends]) => {
      const hit = ends.filter(({ failure }) => failure === 'wall');
      const [first] = hit;
      const wall = first === undefined ? null : nearestWall(table.walls, first);
      return { step, runs: ends.length, atWall: hit.length, wall };
    })
    .sort((a, b) => a.step - b.step);
}

/** Chance per mission, scatter at the end and at each mark, and time, from simulated runs (n ≥ 1). */
export function forecast(simulation: Simulation, runs: readonly SimulatedRun[]): Forecast {
  const { route, robot, table } = simulation;
  const target = plannedEnd(route, planRoute(route, robot, table));
  const marked = new Set(route.steps.flatMap((s) => (s.kind === 'mark' ? [s.missionId] : [])));
  const missions = table.missions.flatMap((mission): MissionForecast[] => {
    if (!marked.has(mission.id)) return [];
    const atMark = (run: SimulatedRun): MarkPose | undefined =>
      run.marks.find((mark) => mark.missionId === mission.id);
    const poses = runs.flatMap((run) => atMark(run) ?? []);
    const worked = poses.filter((pose) => isInWindow(pose, mission.pose, mission.window)).length;
    const chance = wilson(worked, runs.length);
    if (chance === null) return [];
    const scatter = poses.length === 0 ? null : consistency(mission.pose, poses);
    const step = route.steps.findIndex((s) => s.kind === 'mark' && s.missionId === mission.id) + 1;
    const why = whyMissed({ mission, chance, scatter }, step);
    return [{ mission, chance, scatter, why }];
  });
  return {
    runs: runs.length,
    target,
    end: consistency(
      target,
      runs.map((run) => run.end),
    ),
    medianTimeS: median(runs.map((run) => run.end.timeS)),
    missions,
    expectedPoints: missions.reduce((sum, m) => sum + m.mission.points * m.chance.rate, 0),
    failures: countFailures(runs, table),
  };
}
