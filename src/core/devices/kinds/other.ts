import { deviceKind } from '../kind';

/** Whatever else is on a robot: it has a label and a port, and Corvat knows nothing more of it. */
export const other = deviceKind({
  kind: 'other',
  called: 'other unit',
  letter: 'X',
  connection: 'sensor',
  behaviour: {},
  channels: [],
  noise: null,
});
