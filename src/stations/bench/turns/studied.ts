import { calibrationFromTurns } from '../../../core/calibration/kinds/turns/fromStudy';
import type { TurnsCalibration } from '../../../core/calibrationValues/turns';
import { hardlyTurns } from '../../../core/turns/errorModel';
import { studyTurns, type TurnStudy } from '../../../core/turns/turnStudy';
import { whereItStood } from '../../../core/turns/whereItStood';
import { notAside } from '../trials/openedList';
import type { TurnTrialRecord, TurnTrials } from '../../../formats/benchRecords';

/** What the trials say together, and which of them are asked about. */
export function studied(trials: readonly TurnTrialRecord[], conditions: TurnTrials['conditions']) {
  const { driftRadPerS, wantedRad, readingSdRad } = conditions;
  const measured = trials.flatMap((trial, place) => {
    const { actualRad, durationS, setAsideReason, ...rest } = trial;
    if (actualRad === null || setAsideReason !== null) return [];
    return [
      {
        told: {
          ...rest,
          actualRad,
          ...(durationS !== null && { durationS }),
        },
        trial,
        place,
      },
    ];
  });
  if (measured.length === 0) return { study: null, stood: [], asked: [] };
  const told = measured.map((one) => one.told);
  const found = studyTurns(told, driftRadPerS, wantedRad, readingSdRad);
  return {
    study: found,
    stood: whereItStood(told, driftRadPerS).sentences,
    asked: found.questions.flatMap(({ index, text }) => {
      const one = measured[index];
      return one === undefined ? [] : [{ trial: one.trial, no: one.place + 1, text }];
    }),
  };
}

/** The trials that a calibration rests on: what was only looked at is no part of it. */
export const measuredTurns = (trials: readonly TurnTrialRecord[]): TurnTrialRecord[] =>
  notAside(trials).filter(({ actualRad }) => actualRad !== null);

/** What a study of turns leaves to be computed with; null where the robot hardly turns. */
export const turnsValue = (study: TurnStudy | null): TurnsCalibration | null =>
  study !== null && study.model.groups.every(({ model }) => !hardlyTurns(model))
    ? calibrationFromTurns(study.model)
    : null;
