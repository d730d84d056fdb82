import type { PlannedStep } from '../../core/course/plan';
import type { Mission } from '../../core/course/table';
import { descriptionOfStep, type Step } from '../../core/steps/descriptions';
import { kindOfStep } from '../../core/steps/registry';
import { PhraseFields } from '../../ui/PhraseFields';

interface Props {
  planned: PlannedStep;
  missions: readonly Mission[];
  onChange(step: Step): void;
}

/** A step as a plain sentence, its values edited in place. */
export function StepSentence({ planned, missions, onChange }: Props) {
  const { step } = planned;
  return (
    <PhraseFields
      description={descriptionOfStep(step)}
      record={step}
      unset={kindOfStep(step).asPlanned?.(planned) ?? {}}
      things={{ mission: missions }}
      onChange={(name, value) => onChange({ ...step, [name]: value })}
    />
  );
}
