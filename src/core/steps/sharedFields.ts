import type { DeviceKindName } from '../devices/registry';
import type { Condition } from './condition/condition';
import { conditionWords } from './condition/words';
import {
  choice,
  flag,
  number,
  part,
  reference,
  type NumberValue,
} from '../description/description';

/** Values that kinds of step have in common. */
export const speed = (usual?: number): NumberValue =>
  number({
    label: 'Speed',
    quantity: 'speed',
    min: 0.01,
    max: 5,
    ...(usual !== undefined && { default: usual }),
  });

export const HEADING_GAIN = number({
  label: 'Heading gain',
  about: 'right minus left wheel speed per heading error',
  quantity: 'gain',
  min: 0,
  max: 20,
  default: 1.2,
});

export const BACK = flag({
  label: 'Direction',
  about: 'backwards; else ahead',
  yes: 'back',
  no: 'ahead',
  default: false,
});

/** Of a line, against the floor about it. */
export const DARKER = flag({
  label: 'Darker or lighter',
  about: 'than the floor',
  yes: 'darker',
  no: 'lighter',
  default: true,
});

/** After this the motors stop, and the step has failed. */
export const TIMEOUT = number({
  label: 'Time-out',
  about: 'without it: planned from the way',
  quantity: 'time',
  min: 0.1,
  max: 150,
});

/** What a program does then. */
export const ON_TIMEOUT = choice({
  label: 'After its time-out',
  options: {
    fail: 'has failed, and the robot stands',
    'go-on': 'goes on with the next step',
    again: 'is made once more, and has failed then',
  },
  leftOut: 'has failed, and the robot stands',
});

/** What may end it besides. */
export const UNTIL = part<Condition>({
  label: 'Or until',
  about: 'ends it, too, as soon as it holds',
  words: conditionWords,
  shape: 'condition',
});

/** A unit that a step names by its label, and which it is where it names none. */
export const unitOf = (to: DeviceKindName, label: string, leftOut = 'the first') =>
  reference({ label, to, about: `its label; left out: ${leftOut}`, leftOut });
