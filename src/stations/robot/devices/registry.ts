import type { Device } from '../../../core/devices/device';
import { attachment } from './attachment';
import { colour } from './colour';
import { distance } from './distance';
import { heading } from './heading';
import { light } from './light';
import { plain, wheel } from './plain';
import { touch } from './touch';
import type { DeviceMark } from './deviceMark';

const MARKS: { [Kind in Device['kind']]: DeviceMark<Kind> } = {
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
export const markOf = (kind: Device['kind']): DeviceMark => MARKS[kind] as DeviceMark;
