import { useRef, useState } from 'react';
import type { Table } from '../../../core/table/table';
import type { Branch } from '../../../core/steps/branch';
import {
  branchesOf,
  isOwner,
  STEP_DESCRIPTIONS,
  type Step,
} from '../../../core/steps/descriptions';
import { STEP_GROUPS } from '../../../core/steps/kind';
import { offerOf } from '../../../core/steps/registry';
import { numbered, numberOfList } from '../../../core/steps/tree';
import { Button } from '../../../ui/Button';
import styles from '../CourseStation.module.css';
import { isSingle, mayStand, nameOf, placeOf, type Place } from './editRoute';
import { useAddByKeys } from './useAddByKeys';

interface Props {
  steps: readonly Step[];
  table: Table;
  selected: string | null;
  onAdd(kind: Step['kind'], place: Place): void;
}

interface Choice {
  words: string;
  place: Place;
}

/** One of the lists of a step, by its number and by when it is made. */
const listWords = (number: string, lists: readonly Branch[], i: number): string => {
  const words = lists[i]?.words ?? '';
  return `step ${numberOfList(number, lists, i)}${words === '' ? '' : `, ${words}`}`;
};

/** Where a step may be added: into the selected one, after it, after those that it stands in. */
function choicesAt(steps: readonly Step[], selected: string | null): Choice[] {
  const all = numbered(steps);
  const at = all.find(({ step }) => step.id === selected);
  if (at === undefined) {
    return [{ words: 'Add', place: { owner: null, list: '', index: steps.length } }];
  }
  const { step } = at;
  const into = isOwner(step)
    ? branchesOf(step).map((branch, i, lists) => ({
        words: `${branch.isSingle === true ? 'Put in place of' : 'Add into'} ${listWords(at.number, lists, i)}`,
        place: { owner: step.id, list: nameOf(branch), index: branch.steps.length },
      }))
    : [];
  const after = [step.id, ...at.within.toReversed()].flatMap((id): Choice[] => {
    const one = all.find((each) => each.step.id === id);
    const place = placeOf(steps, id);
    if (one === undefined || place === null || isSingle(steps, place)) return [];
    return [{ words: `Add after step ${one.number}`, place: { ...place, index: place.index + 1 } }];
  });
  // Nothing is put in another's place unless that is asked for.
  const isOther = ({ place }: Choice) => isSingle(steps, place);
  const choices = [...into, ...after];
  return [...choices.filter((one) => !isOther(one)), ...choices.filter(isOther)];
}

/** A button for each kind of step, and where it is put. */
export function AddSteps({ steps, table, selected, onAdd }: Props) {
  const choices = choicesAt(steps, selected);
  const [chosen, choose] = useState<string | null>(null);
  const choice = choices.find(({ words }) => words === chosen) ?? (choices[0] as Choice);
  const adds = useRef<HTMLDivElement>(null);
  const { byKey } = useAddByKeys(adds, selected);
  return (
    <div ref={adds} className={styles.add}>
      {choices.length === 1 ? (
        <span>{choice.words}</span>
      ) : (
        <select
          aria-label="Where to add"
          value={choice.words}
          onChange={(event) => choose(event.target.value)}
        >
          {choices.map(({ words }) => (
            <option key={words}>{words}</option>
          ))}
        </select>
      )}
      {Object.entries(STEP_GROUPS).map(([group, words]) => (
        <div key={group} role="group" aria-label={words} className={styles.addGroup}>
          <small>{words}</small>
          {Object.values(STEP_DESCRIPTIONS)
            .filter(({ kind }) => offerOf({ kind }).group === group)
            .map(({ kind, label }) => (
              <Button
                key={kind}
                disabled={
                  !offerOf({ kind }).isOffered(table) || !mayStand(steps, choice.place, kind)
                }
                onClick={({ detail }) => {
                  // A press of a key is no click of a pointer.
                  if (detail === 0) byKey();
                  choose(null);
                  onAdd(kind, choice.place);
                }}
              >
                {label}
              </Button>
            ))}
        </div>
      ))}
    </div>
  );
}
