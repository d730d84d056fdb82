import { z } from 'zod';
import { label } from './label';
import { PORT_CLASSES } from './port';
import type { Fields, Values } from '../description/description';
import { valuesSchema } from '../description/schema';
import type { UnitKind } from './kind';
import { attachment } from './kinds/attachment';
import { colour } from './kinds/colour';
import { distance } from './kinds/distance';
import { heading } from './kinds/heading';
import { light } from './kinds/light';
import { leftMotor, rightMotor } from './kinds/motors';
import { other } from './kinds/other';
import { touch } from './kinds/touch';

/** In what a program reads a unit, before any conversion. */
export const RAW_READINGS = ['volts', 'counts', 'percent', 'cm', 'mm', 'inches'] as const;

const place = z.strictObject({
  aheadM: z.number().min(-2).max(2).default(0).describe('ahead of the axle'),
  leftM: z.number().min(-2).max(2).default(0).describe('left of the middle'),
  heightM: z.number().min(0).max(1).nullable().default(null),
});

const raw = z.strictObject({
  reading: z.enum(RAW_READINGS),
  max: z.number().positive().max(1e9).nullable().default(null).describe('full scale, if known'),
  grows: z.boolean().default(true).describe('grows with what is measured, or falls'),
});

const common = {
  id: z.string().min(1).max(40),
  label: label.min(1, 'expected a label'),
  port: label
    .nullable()
    .default('')
    .describe(
      'empty: plugged in, and nobody has noted where; "built in": into the controller; null: not plugged in',
    ),
  place: place.prefault({}),
  facingRad: z.number().min(-3.2).max(3.2).default(0).describe('0: ahead; left positive'),
  mounting: label.default('').describe('where it sits and which way it looks, in words'),
  programName: label.default('').describe('the name by which programs call it'),
  address: label.default('').describe('on its bus, where it has one'),
  raw: raw.nullable().default(null).describe('null: it reads in the units of its kind'),
};

const unitOf = <Kind extends string, Behaviour extends Fields>({
  kind,
  connection,
  behaviour,
}: UnitKind<Kind, Behaviour>) =>
  z.strictObject({
    ...common,
    kind: z.literal(kind),
    connection: z.enum(PORT_CLASSES).default(connection),
    behaviour: valuesSchema(behaviour).prefault({} as Values<Behaviour>),
  });

/** One motor or sensor with a label of its own: a calibration belongs to it, not to its port. */
export const unitSchema = z.discriminatedUnion('kind', [
  unitOf(leftMotor),
  unitOf(rightMotor),
  unitOf(heading),
  unitOf(distance),
  unitOf(light),
  unitOf(colour),
  unitOf(touch),
  unitOf(attachment),
  unitOf(other),
]);

export type Unit = z.output<typeof unitSchema>;
export type UnitOf<Kind extends Unit['kind']> = Extract<Unit, { kind: Kind }>;
