import { useState } from 'react';
import type { DirectionResult, DirectionStep } from '../../../core/directions/directionCheck';
import {
  directionsTold,
  LOOKED_AT,
  SEEN_CHANGES,
  type SeenChanges,
} from '../../../core/directions/directionsTold';
import { Choice } from '../../../ui/fields/Choice';

const OPTIONS = SEEN_CHANGES.map((value) => ({ value, label: value }));

/** What a number on the robot's small screen did during a move: a tap for each, and no log. */
export function ToldStep({
  step,
  onResult,
}: {
  step: DirectionStep;
  onResult(result: DirectionResult): void;
}) {
  const [seen, setSeen] = useState<SeenChanges>({});
  return LOOKED_AT[step].map(({ key, label }) => (
    <Choice
      key={key}
      label={label}
      value={seen[key] ?? null}
      options={OPTIONS}
      onChange={(change) => {
        const now = { ...seen, [key]: change };
        setSeen(now);
        const result = directionsTold(step, now);
        if (result !== null) onResult(result);
      }}
    />
  ));
}
