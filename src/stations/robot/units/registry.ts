import type { Unit } from '../../../core/units/unit';
import { attachment } from './attachment';
import { distance } from './distance';
import { heading } from './heading';
import { light } from './light';
import { plain, wheel } from './plain';
import { touch } from './touch';
import type { UnitParts } from './unitParts';

/** What each kind of unit shows on the Robot screen. */
export const UNIT_PARTS: Record<Unit['kind'], UnitParts> = {
  'left motor': wheel,
  'right motor': wheel,
  'heading sensor': heading,
  'distance sensor': distance,
  'light sensor': light,
  'touch sensor': touch,
  'attachment motor': attachment,
  other: plain,
};
