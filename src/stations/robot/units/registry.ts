import type { Unit } from '../../../core/units/unit';
import { attachment } from './attachment';
import { colour } from './colour';
import { distance } from './distance';
import { heading } from './heading';
import { light } from './light';
import { plain, wheel } from './plain';
import { touch } from './touch';
import type { UnitMark } from './unitMark';

/** How each kind of unit is drawn. */
export const UNIT_MARKS: Record<Unit['kind'], UnitMark> = {
  'left motor': wheel,
  'right motor': wheel,
  'heading sensor': heading,
  'distance sensor': distance,
  'light sensor': light,
  'colour sensor': colour,
  'touch sensor': touch,
  'attachment motor': attachment,
  other: plain,
};
