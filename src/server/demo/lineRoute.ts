import { routeSchema, type Route } from '../../core/course/route';
import { radiansFromDegrees as deg } from '../../core/geometry/angle';
import { IN_THE_JIG, sag, type DemoSeries } from './scenario';
import { drivenWren, plannedWren } from './wren';

const RATE = deg(90);
const turn = (id: string, toDeg: number, leadRad: number) => ({
  id,
  kind: 'turn',
  angleRad: deg(toDeg),
  rateRadPerS: RATE,
  leadRad,
});
const straight = (id: string, distanceM: number, speedMPerS = 0.25) => ({
  id,
  kind: 'straight',
  distanceM,
  speedMPerS,
});
const arm = (id: string, position: string, wait: boolean) => ({
  id,
  kind: 'attachment',
  unit: 'arm',
  position,
  share: 0.6,
  wait,
});

/**
 * Wren's route along the guide lines: it counts the crossing, turns round at the barrel, looks whether a leaf has shut
 * the pond gate, and turns the sundial with its arm.
 *
 * @param leadRad how early its turns stop, as the Bench found it
 */
const lineRoute = (leadRad: number): Route =>
  routeSchema.parse({
    start: { xM: 0.25, yM: 0.22, headingRad: 0 },
    placement: IN_THE_JIG,
    steps: [
      arm('g01', 'up', false),
      straight('g02', 0.75),
      turn('g03', 90, leadRad),
      { id: 'g04', kind: 'to-line', sensor: 'L2', count: 1, speedMPerS: 0.12 },
      straight('g05', 0.07, 0.15),
      turn('g06', 0, leadRad),
      {
        id: 'g07',
        kind: 'follow-line',
        side: 'left',
        sensor: 'L2',
        lengthM: 0.8,
        speedMPerS: 0.12,
        crossings: 1,
        crossingSensor: 'L3',
      },
      straight('g08', 0.445, 0.2),
      { id: 'g09', kind: 'mark', missionId: 'rain-barrel', dwellS: 1.5 },
      straight('g10', -0.36),
      turn('g11', -90, leadRad),
      straight('g12', 0.36),
      turn('g13', 0, leadRad),
      {
        id: 'g14',
        kind: 'decide',
        if: {
          reading: { unit: 'L2', channel: 'light' },
          is: 'below',
          value: 0.35,
          confirmations: 3,
        },
        usual: 'else',
        then: [],
        else: [
          straight('g15', -0.17, 0.15),
          { id: 'g16', kind: 'mark', missionId: 'pond-gate', dwellS: 2 },
          straight('g17', 0.17, 0.15),
        ],
      },
      turn('g18', 90, leadRad),
      straight('g19', 0.58),
      turn('g20', 180, leadRad),
      straight('g21', 0.39),
      {
        id: 'g22',
        kind: 'repeat',
        times: 3,
        steps: [arm('g23', 'grip', true), arm('g24', 'up', true)],
      },
      { id: 'g25', kind: 'mark', missionId: 'sundial', dwellS: 1 },
    ],
  });

/** How early its quarter turns stop, as the Bench found it the day before. */
const LEAD_RAD = deg(5.5);

export const LINE_VERSION = {
  note: 'Counts the crossing, looks for the leaf',
  route: lineRoute(LEAD_RAD),
  robot: plannedWren,
};

export const LINE_SERIES: DemoSeries & { number: number } = {
  number: 21,
  trying: 'Along the guide lines, as it was planned',
  version: 10,
  day: '2026-11-17T16:30:00.000Z',
  planned: 30,
  runs: 30,
  seed: 4151,
  placement: IN_THE_JIG,
  robotFor: () => drivenWren,
  batteryFor: sag('W1', 8.1, 0.012),
};
