import { calibrationOf } from '../../../core/calibration/find';
import { dayAndClockOf } from '../../../ui/dates';
import { useState } from 'react';
import { ulid } from 'ulid';
import type { CalibrationKind } from '../../../core/calibration/calibration';
import {
  CALIBRATION_KINDS,
  describeCalibration,
  kindOfCalibration,
} from '../../../core/calibration/registry';
import { belongsTo, deviceFor } from '../../../core/calibration/holding';
import type { Freshness } from '../../../core/text/freshness';
import type { SavedCalibration, SavedCalibrationChange } from '../../../formats/benchRecords';
import type { RobotRecord } from '../../../formats/records';
import type { RobotRoute } from '../../../formats/robotRoute';
import { Button } from '../../../ui/Button';
import { Notice, Toast } from '../../../ui/Notice';
import { Table } from '../../../ui/Table';
import { useToast } from '../../../ui/useToast';
import { putRecord, sentenceOf } from '../../api';
import type { Waiting } from '../waiting';
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
function previousOf(
  kind: CalibrationKind,
  journal: readonly SavedCalibrationChange[],
  robot: RobotRecord,
) {
  const lines = journal.filter((line) => line.kind === kind && belongsTo(line, kind, robot));
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
  const [checking, setChecking] = useState<CalibrationKind | null>(null);
  const [toast, tell] = useToast();
  const holding = (kind: CalibrationKind) => {
    const line = journal.find((one) => one.kind === kind && belongsTo(one, kind, robot));
    return calibrations.find(({ id }) => id === line?.calibrationId);
  };
  const isFresh = (kind: CalibrationKind) =>
    setValidity((old) => ({ ...old, [kind]: { text: 'today', state: 'fresh' } }));
  const unitLabel = (unitId: string | null) => {
    if (unitId === null) return '';
    return `, ${robot.robot.units.find(({ id }) => id === unitId)?.label ?? 'a unit that is not on it now'}`;
  };
  const revert = async (kind: CalibrationKind) => {
    setProblem(null);
    const calibrationId = previousOf(kind, journal, robot);
    const previous = calibrations.find(({ id }) => id === calibrationId);
    try {
      const line = await putRecord<SavedCalibrationChange>('calibration-changes', {
        id: ulid(),
        robotId: robot.id,
        unitId: previous === undefined ? deviceFor(robot.robot, kind) : previous.unitId,
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
  const shownKinds = CALIBRATION_KINDS.filter(
    ({ kind, isOnlyTyped }) => isOnlyTyped === undefined || holding(kind) !== undefined,
  );
  return (
    <>
      <p className={styles.headline}>
        {CALIBRATION_KINDS.some(({ kind }) => holding(kind) !== undefined)
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
        {shownKinds.map(({ kind, name, measuredBy }) => {
          const current = holding(kind);
          return (
            <section key={kind} className={styles.tool} aria-label={name}>
              <h2>{name}</h2>
              <p data-testid={`holds-${kind}`}>
                {current === undefined ? 'none holds' : describeCalibration(current.value)}
              </p>
              <small className={styles[validity[kind].state]}>
                {current === undefined && waiting.some(({ value }) => value.kind === kind)
                  ? 'measured, not applied'
                  : validity[kind].text}
              </small>
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
                  <Button onClick={() => setChecking(checking === kind ? null : kind)}>
                    Check it quickly
                  </Button>
                )}
                {current !== undefined && (
                  <Button onClick={() => void revert(kind)}>Go back to the one before</Button>
                )}
              </span>
              {current !== undefined && checking === kind && (
                <QuickCheck
                  calibration={current}
                  onTold={tell}
                  onNoted={(line) => {
                    setJournal((old) => [line, ...old]);
                    if (line.checked) isFresh(kind);
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
