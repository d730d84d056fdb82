import { deviceKind } from '../kind';

const motor = <Side extends 'left' | 'right'>(side: Side) =>
  deviceKind({
    kind: `${side} motor` as const,
    letter: 'M',
    connection: 'motor',
    behaviour: {},
    single: true,
    isDriven: true,
    lack: 'it does not drive',
    channels: [],
    noise: null,
  });

export const leftMotor = motor('left');
export const rightMotor = motor('right');
