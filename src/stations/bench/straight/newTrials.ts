import type { StraightTrials } from '../../../formats/benchRecords';

/** An empty list of straight drives, kept with its first. */
export const newStraightTrials = (id: string, robotId: string): StraightTrials => ({
  id,
  version: 0,
  robotId,
  procedure: 'straight',
  conditions: { surface: '', battery: '', who: '', readToM: null, keep: 'heading' },
  trials: [],
  archivedAt: null,
});
