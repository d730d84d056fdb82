import { radiansFromDegrees as deg } from '../../core/geometry/angle';
import { routeSchema, type Route } from '../../core/course/route';
import { tableSchema, type Table } from '../../core/table/table';
import { robotSchema, type Robot } from '../../core/robot/robot';
import { withDistance, withHeading } from '../../core/devices/ofRobot';

const mission = (
  id: string,
  name: string,
  [x, y, heading]: [number, number, number],
  [along, across, angle]: [number, number, number],
  points: number,
) => ({
  id,
  name,
  pose: { xM: x, yM: y, headingRad: deg(heading) },
  window: { alongM: along, acrossM: across, headingRad: deg(angle) },
  points,
});

const LEAF = '#5a4632';

/** The Winter Garden: a glasshouse at night, 2200 × 1100 mm, two dark guide lines, seven missions. */
export const winterGarden: Table = tableSchema.parse({
  widthM: 2.2,
  heightM: 1.1,
  walls: [{ x1M: 1.12, y1M: 0.4, x2M: 1.34, y2M: 0.4 }],
  lines: [
    { x1M: 0.9, y1M: 0.62, x2M: 1.98, y2M: 0.62 },
    { x1M: 1.62, y1M: 0.16, x2M: 1.62, y2M: 0.98 },
  ],
  // A dead leaf: it lies there in two of five runs, and then the gate is shut.
  fields: [{ x1M: 1.66, y1M: 0.22, x2M: 1.74, y2M: 0.3, colour: LEAF, share: 0.4 }],
  missions: [
    mission('seed-drawer', 'seed drawer', [0.9, 0.62, 90], [0.02, 0.02, 5], 20),
    mission('rain-barrel', 'rain barrel', [1.98, 0.62, 0], [0.016, 0.03, 5], 20),
    mission('sundial', 'sundial', [1.23, 0.84, 180], [0.025, 0.025, 5], 15),
    mission('vent-crank', 'vent crank', [0.68, 0.84, 180], [0.03, 0.028, 5], 30),
    mission('bee-house', 'bee house', [0.3, 0.86, 135], [0.02, 0.02, 5], 20),
    mission('pond-gate', 'pond gate', [1.45, 0.26, 0], [0.02, 0.015, 4], 25),
    mission('lantern', 'lantern', [1.94, 0.24, -45], [0.015, 0.015, 4], 10),
  ],
});

/** Pipit as the team has written it down. */
export const pipit: Robot = robotSchema.parse({
  wheelDiameterM: 0.056,
  trackM: 0.132,
  gearRatio: 1,
  encoderCountsPerMotorDegree: 1,
  body: { frontM: 0.11, rearM: 0.06, halfWidthM: 0.08 },
  motors: { maxSpeedMPerS: 0.55, maxAccelerationMPerS2: 1.5, lagS: 0.04 },
  units: [
    { id: 'u1', kind: 'left motor', label: 'M-left', port: 'A', mounting: 'left side' },
    { id: 'u2', kind: 'right motor', label: 'M-right', port: 'B', mounting: 'right side' },
    {
      id: 'u3',
      kind: 'heading sensor',
      label: 'H1',
      port: 'C',
      place: { heightM: 0.06 },
      mounting: 'flat, middle of the deck',
      behaviour: {
        driftSdRadPerS: deg(0.01),
        noiseRadPerSqrtS: deg(0.02),
        quantumRad: deg(0.1),
      },
    },
    {
      id: 'u4',
      kind: 'distance sensor',
      label: 'D3',
      port: 'D',
      place: { aheadM: 0.1, heightM: 0.045 },
      mounting: 'bow, looks ahead',
      behaviour: { noiseM: 0.003, lostEchoShare: 0.02 },
    },
    {
      id: 'u5',
      kind: 'light sensor',
      label: 'L1',
      port: 'E',
      place: { aheadM: 0.09, heightM: 0.012 },
      mounting: 'under the bow',
    },
  ],
  mountings: [
    { name: 'the hook', frontM: 0.13, rearM: 0.06, halfWidthM: 0.08, underM: 0.05 },
    { name: 'the bumper', frontM: 0.125, rearM: 0.06, halfWidthM: 0.085 },
  ],
  errors: { slipMPerSqrtM: 0.0015 },
  signs: { heading: -1, leftMotor: 1, rightMotor: -1 },
  build: {
    battery: 'B1',
    startZeroesHeading: 'yes',
  },
});

/** What is true of Pipit and in nobody's notebook: the findings have to find it. */
export const hiddenPipit: Robot = {
  // The distance sensor reads long.
  ...withDistance(pipit, { offsetM: 0.005, noiseM: 0.004 }),
  // Turns stop late; the tired battery makes it worse (see `tired`).
  motors: { ...pipit.motors, lagS: 0.05 },
  // Wheels a little smaller than their nominal size, and not quite alike.
  errors: {
    wheelScaleError: -0.012,
    wheelDifference: 0.003,
    trackScaleError: 0.004,
    slipMPerSqrtM: 0.003,
  },
};

/** Pipit on its tired battery: slower to follow, less top speed. */
export const tired = (robot: Robot): Robot => ({
  ...robot,
  motors: { ...robot.motors, lagS: 0.085, maxSpeedMPerS: 0.32 },
});

/** Pipit on the day on which it was carried while starting: the heading sensor drifts. */
export const drifting = (robot: Robot): Robot => withHeading(robot, { driftRadPerS: deg(0.16) });

export const BY_HAND = { alongSdM: 0.007, acrossSdM: 0.006, headingSdRad: deg(1.1) };
export const IN_THE_JIG = { alongSdM: 0.0015, acrossSdM: 0.0015, headingSdRad: deg(0.3) };

const LEAD = deg(5.2);

const steps = (lead: number, byDistance: boolean) => [
  { id: 's01', kind: 'straight', distanceM: 0.7, speedMPerS: 0.3 },
  { id: 's02', kind: 'turn', angleRad: deg(90), rateRadPerS: deg(90), leadRad: lead },
  { id: 's03', kind: 'straight', distanceM: 0.4, speedMPerS: 0.25 },
  { id: 's04', kind: 'mark', missionId: 'seed-drawer', dwellS: 2 },
  { id: 's05', kind: 'turn', angleRad: 0, rateRadPerS: deg(90), leadRad: lead },
  byDistance
    ? { id: 's06', kind: 'straight', distanceM: 0.75, speedMPerS: 0.3 }
    : { id: 's06', kind: 'straight', distanceM: 1.08, speedMPerS: 0.3 },
  ...(byDistance ? [{ id: 's07', kind: 'approach', thresholdM: 0.12, speedMPerS: 0.12 }] : []),
  { id: 's08', kind: 'mark', missionId: 'rain-barrel', dwellS: 1.5 },
  { id: 's09', kind: 'turn', angleRad: deg(90), rateRadPerS: deg(90), leadRad: lead },
  { id: 's10', kind: 'straight', distanceM: 0.22, speedMPerS: 0.2 },
  {
    id: 's11',
    kind: 'turn',
    angleRad: deg(180),
    direction: 'left',
    rateRadPerS: deg(90),
    leadRad: lead,
  },
  { id: 's12', kind: 'straight', distanceM: 0.75, speedMPerS: 0.3 },
  { id: 's13', kind: 'mark', missionId: 'sundial', dwellS: 1 },
  { id: 's14', kind: 'straight', distanceM: 0.55, speedMPerS: 0.3 },
  { id: 's15', kind: 'mark', missionId: 'vent-crank', dwellS: 1 },
];

const route = (lead: number, byDistance: boolean, placement: typeof BY_HAND): Route =>
  routeSchema.parse({
    start: { xM: 0.2, yM: 0.22, headingRad: 0 },
    placement,
    mounted: 'the hook',
    steps: steps(lead, byDistance),
  });

/** The versions of the route, as they were saved. */
export const ROUTE_VERSIONS = [
  { note: 'First try: everything by the encoders', route: route(deg(3), false, BY_HAND) },
  { note: 'Rain barrel by the distance sensor', route: route(LEAD, true, BY_HAND) },
  { note: 'The same with the start jig', route: route(LEAD, true, IN_THE_JIG) },
].map((version) => ({ ...version, robot: pipit }));

/** The short route to the pond, planned and not yet driven. */
export const POND_ROUTE: Route = routeSchema.parse({
  start: { xM: 0.2, yM: 0.26, headingRad: 0 },
  placement: IN_THE_JIG,
  mounted: 'the bumper',
  steps: [
    { id: 'p01', kind: 'straight', distanceM: 1.25, speedMPerS: 0.3 },
    { id: 'p02', kind: 'mark', missionId: 'pond-gate', dwellS: 2 },
    { id: 'p03', kind: 'straight', distanceM: -1.2, speedMPerS: 0.35 },
  ],
});

export interface DemoSeries {
  trying: string;
  version: number;
  day: string;
  planned: number;
  runs: number;
  /** Random seed, fixed so that the demo data are the same everywhere. */
  seed: number;
  placement: typeof BY_HAND;
  robotFor: (runIndex: number) => Robot;
  batteryFor: (runIndex: number) => { label: string; volts: number };
  /** Where it was run, if not at the window. */
  table?: string;
  /** Who placed the robot in turn, if not all three. */
  placers?: string[];
  /** The plan that it is part of, and when its runs came, in minutes from the start. */
  planId?: string;
  minuteOf?: (runIndex: number) => number;
}

export const sag = (label: string, full: number, perRun: number) => (i: number) => ({
  label,
  volts: Number((full - perRun * i).toFixed(2)),
});

/** Thirty runs placed by hand, thirty with the jig (the last six on the tired battery), six on the day of drift. */
export const SERIES: DemoSeries[] = [
  {
    trying: 'Placed by hand against the corner, as always',
    version: 2,
    day: '2026-11-07T14:05:00.000Z',
    planned: 30,
    runs: 30,
    seed: 4107,
    placement: BY_HAND,
    robotFor: () => hiddenPipit,
    batteryFor: sag('B1', 8.22, 0.014),
  },
  {
    trying: 'Start jig instead of the hand',
    version: 3,
    day: '2026-11-14T14:10:00.000Z',
    planned: 30,
    runs: 30,
    seed: 4114,
    placement: IN_THE_JIG,
    robotFor: (i) => (i < 24 ? hiddenPipit : tired(hiddenPipit)),
    batteryFor: (i) => (i < 24 ? sag('B1', 8.2, 0.015)(i) : sag('B3', 7.31, 0.02)(i - 24)),
  },
  {
    trying: 'Warm-up at the other table, robot carried in while starting',
    version: 3,
    day: '2026-11-21T09:20:00.000Z',
    planned: 10,
    runs: 6,
    seed: 4121,
    placement: IN_THE_JIG,
    table: 'table by the door',
    robotFor: () => drifting(hiddenPipit),
    batteryFor: sag('B2', 8.15, 0.012),
  },
];
