import { dayOf } from '../../ui/dates';
import type { Doubt } from '../../core/sources/source';
import { withTurnCalibration } from '../../core/calibration/applyTurns';
import type { Route } from '../../core/course/route';
import type { Table } from '../../core/course/table';
import type { Freshness } from '../../core/freshness';
import type { Robot } from '../../core/robot';
import { counted } from '../../core/text/quantities';
import type { SavedCalibration } from '../../formats/benchRecords';
import { Button } from '../../ui/Button';
import styles from './CourseStation.module.css';

export interface CourseCalibrations {
  turns: SavedCalibration | null;
  validity: Freshness;
  /** Other calibrations that the plan is computed with, in words. */
  others: string[];
  /** How well the robot is known. */
  doubts: readonly Doubt[];
}

interface Props {
  calibrations: CourseCalibrations;
  route: Route;
  robot: Robot;
  table: Table;
  onChange(route: Route): void;
}

/** With which calibration the turns were computed, and which of them the one that holds now would change. */
export function CalibrationLine({ calibrations, route, robot, table, onChange }: Props) {
  const { turns, validity, others } = calibrations;
  const also = others.length > 0 ? ` Also computed with: ${others.join('; ')}.` : '';
  if (!route.steps.some(({ kind }) => kind === 'turn')) return null;
  if (turns?.value.kind !== 'turns') {
    return (
      <p className={styles.calibration} data-testid="calibration-line">
        The turns stop as early as typed; <a href="/bench/turns">measured turns</a> would know
        better.{also}
      </p>
    );
  }
  const planned = withTurnCalibration(route, robot, table, turns.value, turns.id);
  const isCurrent = route.turnCalibrationId === turns.id;
  const day = dayOf(turns.madeAt);
  return (
    <p className={styles.calibration} data-testid="calibration-line">
      {planned.changes.length === 0
        ? `The turns are as the calibration of ${day} wants them (${validity.text}).`
        : `The calibration of ${day} (${validity.text}) would change ${counted(planned.changes.length, 'turn')}${isCurrent ? ', typed otherwise since' : ''}.`}
      {also}{' '}
      {(planned.changes.length > 0 || !isCurrent) && (
        <Button look="bare" onClick={() => onChange(planned.route)}>
          {planned.changes.length > 0 ? 'Use its commands' : 'Note it in the route'}
        </Button>
      )}
    </p>
  );
}
