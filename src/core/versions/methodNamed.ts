import type { Way } from './way';

/** What each kind tells since its method stopped claiming to know more than its trials had told. */
const TOLD_SINCE: Readonly<Record<string, readonly string[]>> = {
  'gyro-drift': ['nextRunLow95'],
  turns: ['gyroScale'],
  straight: ['atMid'],
  drive: ['trackRatioSe'],
  range: ['atMid', 'volts'],
  stop: ['lateSeS'],
};

/** A calibration that an earlier method made says so; until then it showed by what it lacked. */
export const methodNamed: Way = {
  name: 'method named',
  up(record) {
    const told = TOLD_SINCE[String(record.kind)];
    return told === undefined || told.some((name) => record[name] !== undefined)
      ? record
      : { ...record, method: 'earlier' };
  },
};
