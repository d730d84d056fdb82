import { dayOf } from '../../ui/dates';
import type { KnownBy } from '../../core/sources/restsOn';
import type { Doubt } from '../../core/sources/source';
import { withHeadingGain } from '../../core/calibration/applyHeadingGain';
import { isPlacedAsMeasured, withPlacing } from '../../core/calibration/applyPlacing';
import { describeCalibration } from '../../core/calibration/registry';
import { withTurnCalibration } from '../../core/calibration/applyTurns';
import { mountedThen } from '../../core/calibration/mountedThen';
import { headingsCommanded, turnsStandText } from '../../core/calibration/planText';
import { knowsSpins } from '../../core/calibrationValues/turnStop';
import { isMissionList } from '../../core/course/missionList';
import type { Route } from '../../core/course/route';
import type { Table } from '../../core/table/table';
import { turnsIn } from '../../core/course/turnsIn';
import type { Freshness } from '../../core/text/freshness';
import type { Robot } from '../../core/robot/robot';
import { counted } from '../../core/text/quantities';
import type { SavedCalibrationOf } from '../../formats/holding';
import type { WaitingFor } from '../bench/waiting';
import { WaitingLine } from '../bench/WaitingLine';
import { Button } from '../../ui/Button';
import styles from './CourseStation.module.css';

export interface CourseCalibrations {
  turns: SavedCalibrationOf<'turns'> | null;
  placing: SavedCalibrationOf<'placing'> | null;
  validity: Freshness;
  /** Other calibrations that the plan is computed with, in words, and how far each can be relied on. */
  others: { words: string; validity: Freshness; procedure: string }[];
  /** How well the robot is known, and by what. */
  doubts: readonly Doubt[];
  known: readonly KnownBy[];
  /** Procedures that measured something which is not applied. */
  waiting: readonly WaitingFor[];
}

interface Props {
  calibrations: CourseCalibrations;
  robotId: string;
  route: Route;
  robot: Robot;
  table: Table;
  onChange(route: Route): void;
}

/** The gain of the drives, where another one was tuned. */
function GainPart({ route, robot, onChange }: Pick<Props, 'route' | 'robot' | 'onChange'>) {
  const tuned = withHeadingGain(route, robot);
  if (tuned.changed === 0) return null;
  return (
    <p>
      {counted(tuned.changed, 'drive holds', 'drives hold')} the heading with another gain than was
      tuned.{' '}
      <Button look="bare" onClick={() => onChange(tuned.route)}>
        Use the tuned gain
      </Button>
    </p>
  );
}

/** How a route is placed, beside what was measured; nobody has measured it: then it is a guess, and says so. */
function PlacingPart({ calibrations, route, onChange }: Props) {
  const { placing } = calibrations;
  if (placing === null) {
    return (
      <p>
        How exactly it is placed is a guess: <a href="/bench/placing">place it ten times</a>.
      </p>
    );
  }
  const { value } = placing;
  return isPlacedAsMeasured(route, value) ? null : (
    <p>
      Measured was: {describeCalibration(value)}.{' '}
      <Button look="bare" onClick={() => onChange(withPlacing(route, value))}>
        Place it so
      </Button>
    </p>
  );
}

/** How the turns of a route stand to the calibration that holds. */
function TurnsPart({ calibrations, route, robot, table, onChange }: Props) {
  const { turns, validity } = calibrations;
  if (turnsIn(route) === 0) return null;
  if (turns === null) {
    return (
      <p>
        The turns stop as early as typed; <a href="/bench/turns">measured turns</a> would know
        better.
      </p>
    );
  }
  if (!knowsSpins(turns.value)) {
    return (
      <p>
        Only turns about one wheel were measured, and these are on the spot: they stop as early as
        typed. <a href="/bench/turns">Measure some on the spot</a>.
      </p>
    );
  }
  const planned = withTurnCalibration(route, robot, table, turns.value, turns.id);
  const isCurrent = route.turnCalibrationId === turns.id;
  const day = dayOf(turns.madeAt);
  return (
    <p>
      {turnsStandText(planned, `the calibration of ${day} (${validity.text})`, isCurrent)}{' '}
      {headingsCommanded(turns.value)}{' '}
      {planned.known > 0 && (planned.changes.length > 0 || !isCurrent) && (
        <Button look="bare" onClick={() => onChange(planned.route)}>
          {planned.changes.length > 0 ? 'Use its commands' : 'Note it in the route'}
        </Button>
      )}
    </p>
  );
}

/** With which calibrations the route was computed, and what the ones that hold now would change. */
export function CalibrationLine(props: Props) {
  const { others, waiting, known } = props.calibrations;
  if (isMissionList(props.route)) return null;
  const elsewhere = mountedThen(
    known.map(({ value }) => value),
    props.route,
  );
  return (
    <div className={styles.calibration} data-testid="calibration-line">
      <WaitingLine waiting={waiting} robotId={props.robotId} />
      {elsewhere !== null && <p className={styles.stale}>{elsewhere}</p>}
      <PlacingPart {...props} />
      <TurnsPart {...props} />
      <GainPart {...props} />
      {others.length > 0 && (
        <>
          <p>Computed with</p>
          <ul>
            {others.map(({ words, validity, procedure }) => (
              <li key={words}>
                {words}
                {validity.state !== 'fresh' && (
                  <>
                    {' '}
                    (
                    <a
                      className={validity.state === 'missing' ? styles.stale : undefined}
                      href={`/bench/${procedure}?robot=${props.robotId}`}
                    >
                      {validity.text}
                    </a>
                    )
                  </>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}
