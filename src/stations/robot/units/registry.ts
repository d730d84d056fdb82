import type { Unit } from '../../../core/units/unit';
import { attachment } from './attachment';
import { colour } from './colour';
import { distance } from './distance';
import { heading } from './heading';
import { light } from './light';
import { plain, wheel } from './plain';
import { touch } from './touch';
import type { UnitMark } from './unitMark';

const MARKS: { [Kind in Unit['kind']]: UnitMark<Kind> } = {
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

/** How a unit of a kind is drawn. */
export const markOf = (kind: Unit['kind']): UnitMark => MARKS[kind] as UnitMark;
