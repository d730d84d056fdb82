import { Fragment, useState } from 'react';
import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useDroppable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import type { PlannedBranch } from '../../../core/course/branches';
import type { PlannedStep } from '../../../core/course/plan';
import type { CheckFinding, Mend } from '../../../core/forecast/checks/check';
import type { Mission } from '../../../core/table/table';
import type { Robot } from '../../../core/robot/robot';
import {
  isOwner,
  type MotionStep,
  type OwnerStep,
  type Step,
} from '../../../core/steps/descriptions';
import {
  listsWithin,
  numberedAt,
  ROUTE_LIST,
  type ListPlace,
  type NumberedStep,
} from '../../../core/steps/tree';
import { counted, headingText, number, placeText } from '../../../core/text/quantities';
import styles from './StepList.module.css';
import { nameOf, placeOf, type Place } from './editRoute';
import { ProgramLine } from '../ProgramLine';
import { StepRow } from './StepRow';
import { leavesOut, StepSentence } from './StepSentence';
import { useMoveKeys } from './useMoveKeys';
import { useTeach } from './useTeach';

interface Props {
  steps: readonly Step[];
  plan: readonly PlannedStep[];
  /** The lists that the plan passes by. */
  branches: readonly PlannedBranch[];
  /** What is doubtful about its steps. */
  check: readonly CheckFinding[];
  robot: Robot;
  missions: readonly Mission[];
  selected: string | null;
  onSelect(id: string): void;
  onChange(step: Step): void;
  onMove(id: string, to: Place): void;
  /** One place up or down, into what stands there or out of what it stands in. */
  onMoveBy(id: string, by: -1 | 1): void;
  onDuplicate(id: string): void;
  onRemove(id: string): void;
  onMend(id: string, mend: Mend): void;
}

type ListProps = Omit<Props, 'onMove'> & { place?: ListPlace; words?: string };
type RowProps<S> = Omit<ListProps, 'steps' | 'place' | 'words'> & NumberedStep & { step: S };

/** The name of the place at the end of an owner's list, where it is empty. */
const EMPTY = 'into:';
const EMPTY_PLACE = /^into:([^:]*):(.+)$/;

const timesText = (times: number): string =>
  times === 1 ? '' : `, the first of ${counted(times, 'time')}`;

/** Where a motion ends at first, and how often it is made. */
const arrival = (made: readonly PlannedStep[]): string => {
  const [first] = made;
  if (first === undefined) return 'never made';
  if (first.isMeanwhile === true) return 'on the way, without a stop';
  const { to, durationS, standsAgainst } = first;
  const against = standsAgainst === undefined ? '' : `against ${standsAgainst}, `;
  return `${against}to ${placeText(to)}, ${headingText(to.headingRad, 0)} in ${number(durationS, 1)} s${timesText(made.length)}`;
};

/** Each time that a motion is made, as a rule or else where its list is come to. */
function timesMade(
  { id }: Step,
  plan: readonly PlannedStep[],
  branches: readonly PlannedBranch[],
): { made: PlannedStep[]; isUsual: boolean } {
  const among = (steps: readonly PlannedStep[]) => steps.filter(({ step }) => step.id === id);
  const usual = among(plan);
  if (usual.length > 0) return { made: usual, isUsual: true };
  const other = branches.map(({ steps }) => among(steps)).find((one) => one.length > 0);
  return { made: other ?? [], isUsual: other === undefined };
}

const actionsOf = ({ id }: Step, list: RowProps<Step>) => ({
  id,
  isSelected: list.selected === id,
  onSelect: () => list.onSelect(id),
  onDuplicate: () => list.onDuplicate(id),
  onRemove: () => list.onRemove(id),
});

function MotionRow(row: RowProps<MotionStep>) {
  const { step, number: at, plan, branches, check, missions, robot, onChange } = row;
  const { made, isUsual } = timesMade(step, plan, branches);
  const planned = made[0] ?? null;
  const [showsUnset, setShowsUnset] = useState(false);
  const teach = useTeach(step, robot, plan, (next) => onChange(next as MotionStep));
  return (
    <StepRow
      {...actionsOf(step, row)}
      {...teach}
      number={at}
      foot={
        isUsual || made[0]?.isMeanwhile === true
          ? arrival(made)
          : `${arrival(made)}, if it is come to`
      }
      problems={check.filter(({ number: of }) => of === at)}
      onMend={(mend) => row.onMend(step.id, mend)}
      {...(!showsUnset && leavesOut(step, planned) && { onMore: () => setShowsUnset(true) })}
    >
      <StepSentence
        {...{ step, planned, robot, missions, showsUnset, onChange }}
        onShowUnset={() => setShowsUnset(true)}
      />
      <ProgramLine {...{ step, robot, onChange }} />
    </StepRow>
  );
}

function EmptyList({ owner, list }: { owner: string; list: string }) {
  const { setNodeRef, isOver } = useDroppable({ id: `${EMPTY}${list}:${owner}` });
  return (
    <p ref={setNodeRef} className={isOver ? styles.emptyOver : styles.emptyList}>
      No steps in it yet: add some, or drag them here.
    </p>
  );
}

function OwnerRow(row: RowProps<OwnerStep>) {
  const { step, number: at, path, within, plan, check, robot, missions, onChange } = row;
  const made = plan.filter((one) => one.within.includes(step.id));
  const allS = made.reduce((sum, { durationS }) => sum + durationS, 0);
  const { step: _, number: __, path: ___, within: ____, ...list } = row;
  const lists = listsWithin({ step, number: at, path, within });
  const teach = useTeach(step, robot, plan, (next) => onChange(next as OwnerStep));
  return (
    <StepRow
      {...actionsOf(step, row)}
      {...teach}
      number={at}
      foot={made.length === 0 ? '' : `${number(allS, 1)} s in all`}
      problems={check.filter(({ number: of }) => of === at)}
      onMend={(mend) => row.onMend(step.id, mend)}
      inner={lists.map((branch) => (
        <Fragment key={nameOf(branch)}>
          {branch.words !== '' && (
            <p className={styles.when}>
              <strong>{branch.place.before.slice(0, -1)}</strong> {branch.words}
            </p>
          )}
          {branch.steps.length === 0 ? (
            <EmptyList owner={step.id} list={nameOf(branch)} />
          ) : (
            <Steps {...list} steps={branch.steps} place={branch.place} />
          )}
        </Fragment>
      ))}
    >
      <StepSentence
        {...{ step, robot, missions, onChange }}
        planned={null}
        showsUnset
        onShowUnset={() => undefined}
      />
    </StepRow>
  );
}

/** The steps of one list, each with those within it. */
function Steps({ steps, place = ROUTE_LIST, ...list }: ListProps) {
  const isRoute = place === ROUTE_LIST;
  return (
    <SortableContext items={steps.map(({ id }) => id)} strategy={verticalListSortingStrategy}>
      <ol
        className={isRoute ? styles.steps : styles.innerSteps}
        aria-label={
          isRoute ? 'Steps of the route' : `Steps within step ${place.before.slice(0, -1)}`
        }
      >
        {steps.map((step, i) => {
          return isOwner(step) ? (
            <OwnerRow key={step.id} {...list} {...numberedAt(step, i, place)} />
          ) : (
            <MotionRow key={step.id} {...list} {...numberedAt(step, i, place)} />
          );
        })}
      </ol>
    </SortableContext>
  );
}

/** The route as numbered sentences that can be edited, moved, doubled and taken out. */
export function StepList({ onMove, ...list }: Props) {
  useMoveKeys(list.onMoveBy);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const drop = ({ active, over }: DragEndEvent) => {
    if (over === null || over.id === active.id) return;
    const target = String(over.id);
    const [, name = '', owner = ''] = EMPTY_PLACE.exec(target) ?? [];
    const place = owner === '' ? placeOf(list.steps, target) : { owner, list: name, index: 0 };
    if (place !== null) onMove(String(active.id), place);
  };
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
      <Steps {...list} />
    </DndContext>
  );
}
