import { z } from 'zod';
import { label } from './label';
import { ADDRESS, FACING, LABEL, PLACE, plugOf, RAW, WORDS } from './description';
import type { Fields } from '../description/description';
import { partSchema, shapeOf, valueSchema, valuesSchema } from '../description/schema';
import type { DeviceKind } from './kind';
import { attachment } from './kinds/attachment';
import { colour } from './kinds/colour';
import { distance } from './kinds/distance';
import { heading } from './kinds/heading';
import { light } from './kinds/light';
import { leftMotor, rightMotor } from './kinds/motors';
import { other } from './kinds/other';
import { touch } from './kinds/touch';

const common = {
  id: z.string().min(1).max(40),
  ...shapeOf(LABEL),
  port: label
    .nullable()
    .default('')
    .describe(
      'empty: plugged in, and nobody has noted where; "built in": into the controller; null: not plugged in',
    ),
  place: partSchema(PLACE),
  ...shapeOf(FACING),
  ...shapeOf(WORDS),
  ...shapeOf(ADDRESS),
  raw: valuesSchema(RAW)
    .nullable()
    .default(null)
    .describe('null: it reads in the units of its kind'),
};

const unitOf = <Kind extends string, Behaviour extends Fields>({
  kind,
  connection,
  behaviour,
}: DeviceKind<Kind, Behaviour>) =>
  z.strictObject({
    ...common,
    kind: z.literal(kind),
    connection: valueSchema(plugOf(connection)),
    behaviour: partSchema(behaviour),
  });

/** One motor or sensor with a label of its own: a calibration belongs to it, not to its port. */
export const deviceSchema = z.discriminatedUnion('kind', [
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

export type Device = z.output<typeof deviceSchema>;
export type DeviceOf<Kind extends Device['kind']> = Extract<Device, { kind: Kind }>;
