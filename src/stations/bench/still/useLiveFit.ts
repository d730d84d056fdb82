import { useEffect, useRef, useState } from 'react';
import type { EarlierCheck } from '../../../core/gyro/still/earlierChecks';
import type { StillSettings } from '../../../core/gyro/still/stillDefaults';
import type { RawConvention } from '../../../core/channels/rawConvention';
import type { Reading } from '../../../formats/readings';
import type { StillAnalysis } from '../../../workers/bench.worker';
import { analyseStill } from '../benchWorker';
import { logOf } from '../logs/sources';

/** The drift is fitted anew after so many further seconds of the robot's time. */
const EVERY_S = 3;

export interface LiveFitProps {
  readings: readonly Reading[];
  raw: RawConvention;
  runDurationS: number;
  toleranceRad: number;
  settings: StillSettings;
  /** What earlier checks of this sensor showed. */
  earlier: readonly EarlierCheck[];
}

/** What the readings so far say, fitted in a worker while more of them come. */
export function useLiveFit(props: LiveFitProps): StillAnalysis | null {
  const [analysis, setAnalysis] = useState<StillAnalysis | null>(null);
  const latest = useRef(props);
  useEffect(() => {
    latest.current = props;
  });
  const { readings } = props;
  const lengthS = (readings.at(-1)?.t_s ?? 0) - (readings[0]?.t_s ?? 0);
  const step = Math.floor(lengthS / EVERY_S);
  useEffect(() => {
    if (step < 1) return undefined;
    const { readings: soFar, raw, runDurationS, toleranceRad, settings, earlier } = latest.current;
    try {
      const job = analyseStill(logOf(soFar, raw), runDurationS, toleranceRad, settings, null, {
        earlier,
      });
      // What cannot be fitted yet will be said at the end.
      job.result.then(setAnalysis, () => undefined);
      return job.cancel;
    } catch {
      return undefined;
    }
  }, [step]);
  return analysis;
}
