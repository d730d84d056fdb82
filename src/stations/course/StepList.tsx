import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { Copy, X } from 'lucide-react';
import type { PlannedStep } from '../../core/course/plan';
import { PROBLEM_SENTENCES } from '../../core/course/problems';
import type { Step } from '../../core/steps/step';
import type { Robot } from '../../core/robot';
import type { Mission } from '../../core/course/table';
import { number, headingText, placeText } from '../../core/text/quantities';
import { Button } from '../../ui/Button';
import { classes } from '../../ui/classes';
import { ProgramLine } from './ProgramLine';
import { StepSentence } from './StepSentence';
import styles from './CourseStation.module.css';

interface Props {
  plan: readonly PlannedStep[];
  robot: Robot;
  missions: readonly Mission[];
  selected: number | null;
  onSelect(index: number | null): void;
  onChange(index: number, step: Step): void;
  onMove(from: number, to: number): void;
  onDuplicate(index: number): void;
  onRemove(index: number): void;
}

const keyOf = (planned: PlannedStep, index: number) => planned.step.id ?? `#${index}`;

const arrival = ({ to, durationS }: PlannedStep): string =>
  `to ${placeText(to)}, ${headingText(to.headingRad, 0)} in ${number(durationS, 1)} s`;

function StepRow({
  planned,
  index,
  count,
  ...list
}: Omit<Props, 'plan'> & { planned: PlannedStep; index: number; count: number }) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({
    id: keyOf(planned, index),
  });
  const n = index + 1;
  return (
    // The row only follows the focus and the pointer; everything in it is a control of its own.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={classes(styles.step, list.selected === index && styles.selected)}
      data-testid={`step-${n}`}
      onFocus={() => list.onSelect(index)}
      onMouseEnter={() => list.onSelect(index)}
      onKeyDown={(event) => {
        if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
        event.preventDefault();
        const to = index + (event.key === 'ArrowUp' ? -1 : 1);
        if (to >= 0 && to < count) list.onMove(index, to);
      }}
    >
      <button
        type="button"
        className={styles.handle}
        {...attributes}
        {...listeners}
        aria-label={`Move step ${n}`}
        title="Drag; or Space, arrows, Space; or Alt with arrows in the step"
      >
        {n}
      </button>
      <div className={styles.sentence}>
        <StepSentence
          planned={planned}
          missions={list.missions}
          onChange={(step) => list.onChange(index, step)}
        />
        <ProgramLine
          step={planned.step}
          robot={list.robot}
          onChange={(step) => list.onChange(index, step)}
        />
        <div className={styles.rowFoot}>
          <small className={styles.arrival}>{arrival(planned)}</small>
          <span className={styles.rowActions}>
            <Button
              look="bare"
              aria-label={`Duplicate step ${n}`}
              title="Duplicate"
              onClick={() => list.onDuplicate(index)}
            >
              <Copy size={15} aria-hidden />
            </Button>
            <Button
              look="bare"
              aria-label={`Remove step ${n}`}
              title="Remove"
              onClick={() => list.onRemove(index)}
            >
              <X size={16} aria-hidden />
            </Button>
          </span>
        </div>
        {planned.problems.map((problem) => (
          <small key={problem} className={styles.problem}>
            {PROBLEM_SENTENCES[problem]}
          </small>
        ))}
      </div>
    </li>
  );
}

/** The route as numbered sentences that can be edited, moved, doubled and taken out. */
export function StepList({ plan, ...list }: Props) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const keys = plan.map(keyOf);
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        const from = keys.indexOf(String(active.id));
        const to = over === null ? -1 : keys.indexOf(String(over.id));
        if (from >= 0 && to >= 0 && from !== to) list.onMove(from, to);
      }}
    >
      <SortableContext items={keys} strategy={verticalListSortingStrategy}>
        <ol className={styles.steps} aria-label="Steps of the route">
          {plan.map((planned, index) => (
            <StepRow
              key={keyOf(planned, index)}
              planned={planned}
              index={index}
              count={plan.length}
              {...list}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}
