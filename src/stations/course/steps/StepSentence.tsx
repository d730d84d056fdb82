import type { PlannedStep } from '../../../core/course/plan';
import type { Mission } from '../../../core/table/table';
import { descriptionOfStep, type Step } from '../../../core/steps/descriptions';
import { kindOfStep } from '../../../core/steps/registry';
import { PhraseFields } from '../../../ui/fields/PhraseFields';

interface Props {
  step: Step;
  /** Of a motion: how it is planned where it is made first. */
  planned: PlannedStep | null;
  missions: readonly Mission[];
  onChange(step: Step): void;
}

/** A step as a plain sentence, its values edited in place. */
export function StepSentence({ step, planned, missions, onChange }: Props) {
  return (
    <PhraseFields
      description={descriptionOfStep(step)}
      record={step}
      unset={planned === null ? {} : (kindOfStep(planned.step).asPlanned?.(planned) ?? {})}
      things={{ mission: missions }}
      onChange={(name, value) => {
        const changed = { ...step, [name]: value };
        // What is left out is not there at all.
        if (value === undefined) Reflect.deleteProperty(changed, name);
        onChange(changed);
      }}
    />
  );
}
