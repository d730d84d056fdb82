import { calibrationOf } from '../../../core/calibration/find';
import { dayAndClockOf } from '../../../ui/dates';
import { useState } from 'react';
import { ulid } from 'ulid';
import type { CalibrationKind } from '../../../core/calibration/calibration';
import { describeCalibration, kindOfCalibration } from '../../../core/calibration/registry';
import type { Freshness } from '../../../core/text/freshness';
import type { SavedCalibration, SavedCalibrationChange } from '../../../formats/benchRecords';
import type { RobotRoute } from '../../../formats/robotRoute';
import { Button } from '../../../ui/Button';
import { Notice, Toast } from '../../../ui/Notice';
import { Table } from '../../../ui/Table';
import { useToast } from '../../../ui/useToast';
import { putRecord, sentenceOf } from '../../api';
import type { Waiting } from '../waiting';
import { linesOf, placesOf, type Place } from './places';
import { hasQuickCheck, QuickCheck } from './QuickCheck';
import { WaitingToHold } from './WaitingToHold';
import { RouteChanges } from '../apply/RouteChanges';
import type { BenchProps } from '../procedure';
import styles from '../Bench.module.css';

interface Props extends BenchProps {
  calibrations: SavedCalibration[];
  journal: SavedCalibrationChange[];
  validity: Record<CalibrationKind, Freshness>;
  routes: RobotRoute[];
  /** Measured, and not computed with. */
  waiting: Waiting[];
}

/** The line of the journal before the one that holds: where one action goes back to. */
function previousOf(lines: readonly SavedCalibrationChange[]) {
  const now = lines[0]?.calibrationId ?? null;
  return lines.find(({ calibrationId }) => calibrationId !== now)?.calibrationId ?? null;
}

/** What is computed with now, how far it can be relied on, and the journal of every change. */
export default function Station(props: Props) {
  const { robot, routes } = props;
  const [calibrations, setCalibrations] = useState(props.calibrations);
  const [validity, setValidity] = useState(props.validity);
  const [waiting, setWaiting] = useState(props.waiting);
  const [journal, setJournal] = useState(props.journal);
  const [problem, setProblem] = useState<string | null>(null);
  const [checking, setChecking] = useState<string | null>(null);
  const [toast, tell] = useToast();
  const places = placesOf(robot);
  const holdsAt = (place: Place) => {
    const [line] = linesOf(place, journal, robot);
    return calibrations.find(({ id }) => id === line?.calibrationId);
  };
  const holding = (wanted: CalibrationKind) => {
    const place = places.find(({ kind, isOther }) => kind === wanted && !isOther);
    return place && holdsAt(place);
  };
  const isFresh = (kind: CalibrationKind) =>
    setValidity((old) => ({ ...old, [kind]: { text: 'today', state: 'fresh' } }));
  const unitLabel = (unitId: string | null) => {
    if (unitId === null) return '';
    return `, ${robot.robot.units.find(({ id }) => id === unitId)?.label ?? 'a unit that is not on it now'}`;
  };
  const revert = async (place: Place) => {
    const { kind } = place;
    setProblem(null);
    const calibrationId = previousOf(linesOf(place, journal, robot));
    const previous = calibrations.find(({ id }) => id === calibrationId);
    try {
      const line = await putRecord<SavedCalibrationChange>('calibration-changes', {
        id: ulid(),
        robotId: robot.id,
        unitId: previous === undefined ? place.unitId : previous.unitId,
        kind,
        calibrationId,
        reason: calibrationId === null ? 'Taken back: none holds' : 'Gone back to the one before',
        who: null,
      } as { id: string });
      setJournal((old) => [line, ...old]);
      tell('Gone back. The journal keeps both.');
    } catch (error) {
      setProblem(sentenceOf(error));
    }
  };
  const held = holding('turns');
  const turns = calibrationOf(held === undefined ? [] : [held.value], 'turns');
  // What is only typed is no gap while nobody has tuned it.
  const shown = places.filter(
    (place) =>
      (!place.isOther && kindOfCalibration(place.kind).isOnlyTyped === undefined) ||
      holdsAt(place) !== undefined,
  );
  return (
    <>
      <p className={styles.headline}>
        {places.some((place) => holdsAt(place) !== undefined)
          ? `What ${robot.name} is computed with now.`
          : `Nothing is measured of ${robot.name} yet: the Course computes with its record.`}
      </p>
      {problem !== null && <Notice tone="fault">{problem}</Notice>}
      <WaitingToHold
        robot={robot}
        waiting={waiting}
        holds={({ value: { kind } }) => {
          const now = holding(kind);
          return now === undefined ? null : describeCalibration(now.value);
        }}
        onApplied={(calibration, line) => {
          const { kind } = calibration.value;
          setCalibrations((old) => [calibration, ...old]);
          setJournal((old) => [line, ...old]);
          isFresh(kind);
          setWaiting((old) => old.filter(({ value }) => value.kind !== kind));
          tell('Applied: it holds from now on, and can be taken back below.');
        }}
      />
      <div className={styles.tools}>
        {shown.map((place) => {
          const { kind, unitId, isOther } = place;
          const { measuredBy } = kindOfCalibration(kind);
          const name = `${kindOfCalibration(kind).name}${isOther ? unitLabel(unitId) : ''}`;
          const current = holdsAt(place);
          return (
            <section key={name} className={styles.tool} aria-label={name}>
              <h2>{name}</h2>
              <p data-testid={isOther ? undefined : `holds-${kind}`}>
                {current === undefined ? 'none holds' : describeCalibration(current.value)}
              </p>
              {!isOther && (
                <small className={styles[validity[kind].state]}>
                  {current === undefined && waiting.some(({ value }) => value.kind === kind)
                    ? 'measured, not applied'
                    : validity[kind].text}
                </small>
              )}
              {current !== undefined && (
                <small className="faint">
                  made {dayAndClockOf(current.madeAt)}
                  {current.surface !== null && `, on ${current.surface}`}
                  {current.battery !== null && `, battery ${current.battery}`}
                </small>
              )}
              <span className={styles.actions}>
                <a href={`/bench/${measuredBy.procedure}?robot=${robot.id}`}>{measuredBy.words}</a>
                {current !== undefined && hasQuickCheck(current) && (
                  <Button onClick={() => setChecking(checking === name ? null : name)}>
                    Check it quickly
                  </Button>
                )}
                {current !== undefined && (
                  <Button onClick={() => void revert(place)}>Go back to the one before</Button>
                )}
              </span>
              {current !== undefined && checking === name && (
                <QuickCheck
                  calibration={current}
                  onTold={tell}
                  onNoted={(line) => {
                    setJournal((old) => [line, ...old]);
                    if (line.checked && !isOther) isFresh(kind);
                  }}
                />
              )}
            </section>
          );
        })}
      </div>
      {turns !== null && (
        <section aria-label="Routes" className={styles.do}>
          <h2>What the turns change in the saved routes</h2>
          <RouteChanges turns={turns} robot={robot} routes={routes} />
        </section>
      )}
      {journal.length > 0 && (
        <Table
          label="Journal"
          rows={journal}
          keyOf={({ id }) => id}
          columns={[
            { title: 'When', cell: ({ changedAt }) => dayAndClockOf(changedAt) },
            {
              title: 'What',
              cell: ({ kind, unitId }) => `${kindOfCalibration(kind).name}${unitLabel(unitId)}`,
            },
            {
              title: 'From then on',
              cell: ({ calibrationId }) => {
                const value = calibrations.find(({ id }) => id === calibrationId)?.value;
                return value === undefined ? 'none' : describeCalibration(value);
              },
            },
            { title: 'Why', cell: ({ reason }) => reason },
            { title: 'Who', cell: ({ who }) => who ?? '–' },
            {
              title: 'What it did',
              cell: ({ id }) => <a href={`/findings/compare?change=${id}`}>did it help?</a>,
            },
          ]}
        />
      )}
      <Toast text={toast} />
    </>
  );
}
