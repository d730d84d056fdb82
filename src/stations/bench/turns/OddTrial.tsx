import { degrees } from '../../../core/text/quantities';
import { oddTurns } from '../../../core/turns/oddTurns';
import type { TurnTrialRecord, TurnTrials } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';

/** Trials that stand far from the others, with the numbers that the list gives them. */
export function oddOf({
  trials,
  conditions,
}: TurnTrials): { trial: TurnTrialRecord; no: number; furtherRad: number }[] {
  const measured = trials.flatMap(({ actualRad, durationS, ...rest }, place) =>
    actualRad === null || rest.setAsideReason !== null
      ? []
      : [{ ...rest, actualRad, ...(durationS !== null && { durationS }), place }],
  );
  return oddTurns(measured, conditions.driftRadPerS).flatMap(({ index, furtherRad }) => {
    const place = measured[index]?.place ?? -1;
    const trial = trials[place];
    return trial === undefined ? [] : [{ trial, no: place + 1, furtherRad }];
  });
}

/** A trial that hides what all the others say. */
export function OddTrial({
  no,
  furtherRad,
  onSetAside,
}: {
  no: number;
  furtherRad: number;
  onSetAside(): void;
}) {
  return (
    <Notice tone="careful" action={<Button onClick={onSetAside}>Set it aside…</Button>}>
      Trial {no} went {degrees(Math.abs(furtherRad))} {furtherRad > 0 ? 'further' : 'less far'} than
      the others told the same: was it typed right, did a wheel slip? Repeat it, or set it aside
      with the reason.
    </Notice>
  );
}
