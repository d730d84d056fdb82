import { useMemo } from 'react';
import type { PlannedStep } from '../../../core/course/plan';
import type { Mission } from '../../../core/table/table';
import type { Robot } from '../../../core/robot/robot';
import {
  descriptionOfStep,
  isOwner,
  missionOfStep,
  type Step,
} from '../../../core/steps/descriptions';
import { kindOfStep, ownerKindOf } from '../../../core/steps/registry';
import { ColoursEditor } from './ColoursEditor';
import { ConditionEditor } from './ConditionEditor';
import { hasUnset, PhraseFields, type EditorProps } from '../../../ui/fields/PhraseFields';

interface Props {
  step: Step;
  /** Of a motion: how it is planned where it is made first. */
  planned: PlannedStep | null;
  robot: Robot;
  missions: readonly Mission[];
  /** Also what is left out has its field. */
  showsUnset: boolean;
  onShowUnset(): void;
  onChange(step: Step): void;
}

type Things = Record<string, { id: string; name: string }[]>;

/** What a step may name: missions, and the units that are plugged in, by their labels. */
function thingsOf({ units }: Robot, missions: readonly Mission[]): Things {
  const things: Things = { mission: [...missions] };
  for (const { kind, label, port } of units) {
    if (port !== null) (things[kind] ??= []).push({ id: label, name: label });
  }
  return things;
}

/** The parts of the mission that a step works. */
const partsOf = (step: Step, missions: readonly Mission[]) =>
  missions
    .filter(({ id }) => id === missionOfStep(step))
    .flatMap(({ parts }) => parts.map(({ name }) => ({ id: name, name })));

/** What holds where a value was left out, by what was planned. */
const unsetOf = (planned: PlannedStep | null): object =>
  planned === null ? {} : (kindOfStep(planned.step).asPlanned?.(planned) ?? {});

/** Whether something of a step is left out that has no field yet. */
export const leavesOut = (step: Step, planned: PlannedStep | null): boolean =>
  hasUnset(descriptionOfStep(step), step, unsetOf(planned));

/** A step as a plain sentence, its values edited in place; what is left out of it comes at a press. */
export function StepSentence(props: Props) {
  const { step, planned, robot, missions, showsUnset, onShowUnset, onChange } = props;
  const things = useMemo(
    () => ({
      ...thingsOf(robot, missions),
      part: partsOf(step, missions),
      ...(isOwner(step) && ownerKindOf(step).things?.(step)),
    }),
    [robot, missions, step],
  );
  const editors = useMemo(
    () => ({
      condition: (props: EditorProps) => <ConditionEditor {...props} robot={robot} />,
      colours: (props: EditorProps) => <ColoursEditor {...props} robot={robot} />,
    }),
    [robot],
  );
  const description = descriptionOfStep(step);
  const unset = unsetOf(planned);
  return (
    <PhraseFields
      {...{ description, unset, things, editors, showsUnset }}
      record={step}
      onChange={(name, value) => {
        const changed = { ...step, [name]: value };
        if (value === undefined) {
          // What is left out is not there at all; its field stays, for another value.
          Reflect.deleteProperty(changed, name);
          onShowUnset();
        }
        onChange(changed);
      }}
    />
  );
}
