import { knownFrom } from './still/earlierChecks';
import { judgedSoonAfterPowerUp, type KnownBefore } from './still/soonAfterPowerUp';
import { stillCheck, type StillCheck, type StillLog } from './still/stillCheck';
import type { StillSettings } from './still/stillDefaults';
import { typedStill } from './still/typedStill';

/**
 * The still check of a log, or of two readings that were typed from a screen.
 *
 * @param displayStepRad the step of that screen; null: it was logged
 * @param before what earlier checks of the same sensor showed of it, and how long it had been on
 */
export function judgeLog(
  log: StillLog,
  runDurationS: number,
  toleranceRad: number,
  settings: StillSettings,
  displayStepRad: number | null,
  before: KnownBefore = {},
): StillCheck {
  const check = judged(log, runDurationS, toleranceRad, settings, displayStepRad, before.earlier);
  return judgedSoonAfterPowerUp(check, before, runDurationS, toleranceRad, settings);
}

function judged(
  log: StillLog,
  runDurationS: number,
  toleranceRad: number,
  settings: StillSettings,
  displayStepRad: number | null,
  earlier: KnownBefore['earlier'] = [],
): StillCheck {
  if (displayStepRad === null || log.kind === 'rate') {
    return stillCheck(log, runDurationS, toleranceRad, settings, earlier);
  }
  const { tS, headingRad } = log;
  const readings = {
    fromRad: headingRad[0] ?? 0,
    untilRad: headingRad.at(-1) ?? 0,
    durationS: (tS.at(-1) ?? 0) - (tS[0] ?? 0),
    stepRad: displayStepRad,
  };
  return typedStill(
    readings,
    runDurationS,
    toleranceRad,
    settings,
    knownFrom(earlier, 'heading').walk,
  );
}
