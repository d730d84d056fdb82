import { useState } from 'react';
import { ulid } from 'ulid';
import { whereRead } from '../../../core/channels/log';
import { trialsFromLog } from '../../../core/turns/trialsFromLog';
import { turnsInLog } from '../../../core/turns/turnsInLog';
import { counted, degrees, number } from '../../../core/text/quantities';
import type { TurnTrialRecord, TurnTrials } from '../../../formats/benchRecords';
import type { RobotRecord } from '../../../formats/records';
import type { Log } from '../../../formats/toLog';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { Table } from '../../../ui/Table';
import styles from '../Bench.module.css';
import { LogSource } from '../logs/LogSource';
import type { TurnSetting } from './TurnEntry';

interface Props {
  robot: RobotRecord;
  setting: TurnSetting;
  record: TurnTrials;
  onTake(...trials: TurnTrialRecord[]): void;
}

/** Turns are looked for where all of these were read. */
const TURN_CHANNELS = ['headingRad', 'leftMotorDegrees', 'rightMotorDegrees'];

function found(log: Log, setting: TurnSetting, { conditions, trials }: TurnTrials) {
  const { tS, columns } = whereRead(log, TURN_CHANNELS);
  const { headingRad, leftMotorDegrees, rightMotorDegrees } = columns;
  if (headingRad === undefined) return null;
  const turns = turnsInLog({ tS, headingRad, leftMotorDegrees, rightMotorDegrees });
  return trialsFromLog(turns, {
    targetsRad: [setting.targetRad, ...conditions.wantedRad.map(Math.abs)],
    ratesRadPerS: [setting.rateRadPerS, ...trials.map(({ rateRadPerS }) => rateRadPerS)],
    kind: setting.kind,
    driftRadPerS: conditions.driftRadPerS,
  });
}

/** Turn trials as the robot's own heading saw them: it sees turning too far, not its own scale error. */
export function TurnsFromLog({ robot, setting, record, onTake }: Props) {
  const [log, setLog] = useState<Log | null>(null);
  const turns = log === null ? null : found(log, setting, record);
  const take = () => {
    onTake(
      ...(turns?.trials ?? []).map((trial): TurnTrialRecord => ({
        ...trial,
        id: ulid(),
        seen: null,
        wantedRad: null,
        facedRad: null,
        place: '',
        afterDrive: null,
        times: 1,
        readingSdRad: null,
        readingRad: null,
        measuredBy: 'own heading',
        setAsideReason: null,
      })),
    );
    setLog(null);
  };
  return (
    <div className={styles.file}>
      <small className="faint">
        Its heading, when it stands again, tells how far it went too far. A gyro that reads every
        turn a little short or long cannot tell that of itself: measure a few turns by protractor as
        well.
      </small>
      <LogSource
        robot={robot}
        meanwhile="Let the robot turn, standing for a second before and after each turn."
        onLog={setLog}
      />
      {log !== null && turns === null && <Notice tone="careful">This log has no heading.</Notice>}
      {turns !== null && turns.trials.length === 0 && (
        <Notice tone="careful">
          No turn near {degrees(setting.targetRad, 0)} or any of the angles that the team uses was
          found: set what it was told above, or add it to the angles under “Conditions”.
        </Notice>
      )}
      {turns !== null && turns.trials.length > 0 && (
        <>
          <Table
            label="Turns in the log"
            rows={turns.trials}
            keyOf={(_, i) => String(i)}
            columns={[
              {
                title: 'Told, most likely',
                cell: ({ targetRad, kind }) =>
                  `${degrees(Math.abs(targetRad), 0)} ${targetRad < 0 ? 'right' : 'left'}${kind === 'pivot' ? ', one wheel' : ''}`,
              },
              { title: 'At', number: true, cell: (one) => `${degrees(one.rateRadPerS, 0)}/s` },
              {
                title: 'By its own heading',
                number: true,
                cell: (one) => degrees(Math.abs(one.actualRad)),
              },
              { title: 'Took', number: true, cell: (one) => `${number(one.durationS, 2)} s` },
            ]}
          />
          <div className={styles.actions}>
            <Button look="strong" onClick={take}>
              Take {counted(turns.trials.length, 'turn')}
            </Button>
            <Button look="bare" onClick={() => setLog(null)}>
              Leave {turns.trials.length === 1 ? 'it' : 'them'}
            </Button>
            {turns.others > 0 && (
              <small className="faint">
                {counted(turns.others, 'more turn')} in the log {turns.others === 1 ? 'is' : 'are'}{' '}
                near no angle that was told, or the robot drove on meanwhile.
              </small>
            )}
          </div>
        </>
      )}
    </div>
  );
}
