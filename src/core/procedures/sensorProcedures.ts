import { z } from 'zod';
import { shapeOf } from '../description/schema';
import { RANGE_TRIAL } from '../trials/range';
import { procedure, type Procedure } from '../procedure/procedure';
import { mountAngle } from '../ranging/mountAngle';
import { voltCurve, voltsThere } from '../ranging/voltCurve';
import { isStraight } from '../sensing/voltLaw';

const MAX_READINGS = 10_000;
const metres = (least: number) =>
  z.number().min(least).max(30, 'expected at most 30 m: are these centimetres?');

const { trueM, readingM, readingV, turnedRad } = shapeOf(RANGE_TRIAL.fields);

const voltInput = z.strictObject({
  readings: z.array(z.strictObject({ trueM, readingV: readingV.unwrap() })).max(MAX_READINGS),
  at: z.array(trueM).max(1000).default([]).describe('distances whose volts are wanted'),
});

const mountInput = z.strictObject({
  readings: z
    .array(z.strictObject({ turnedRad: turnedRad.unwrap(), readingM: readingM.unwrap() }))
    .max(MAX_READINGS),
  aheadM: metres(-2).describe('of the sensor, ahead of the axle'),
  leftM: metres(-2).default(0),
  offsetM: metres(-5).default(0),
  scaleFactor: z.number().positive().max(5).default(1),
});

/** Procedures about what a sensor shows, and how it sits on the robot. */
export const sensorProcedures: readonly Procedure[] = [
  procedure(
    'volt-curve',
    'the curve of a distance sensor that shows volts, and what it shows at some distances',
    voltInput,
    ({ readings, at }) => {
      const curve = voltCurve(readings);
      if (curve === null) {
        return {
          sentence:
            'Three readings at two distances at least are needed, volts that change from one to the next, and a fourth distance where they do not go straight.',
        };
      }
      const { halfWidthM: _half, law, ...figures } = curve;
      return {
        law: isStraight(law) ? 'straight' : 'bent',
        ...law,
        ...figures,
        volts: at.map((distanceM) => voltsThere(curve, distanceM)),
      };
    },
  ),
  procedure(
    'mount-angle',
    'which way a distance sensor looks on its mount, by readings of one wall from a robot that is turned',
    mountInput,
    ({ readings, ...sensor }) =>
      mountAngle(readings, sensor) ?? {
        sentence: 'Six echoes at least are needed, from a robot turned by 20° (0.35 rad) in all.',
      },
  ),
];
