import { useMemo, useState } from 'react';
import { SWITCHED } from '../../../core/loop/description';
import { switchedIn, switchFromWatch } from '../../../core/loop/modeSwitch';
import { switchSentences } from '../../../core/loop/modeSwitchWords';
import type { ModeSwitchCalibration } from '../../../core/calibrationValues/modeSwitch';
import { devicesOf } from '../../../core/devices/ofRobot';
import type { RobotRecord } from '../../../formats/records';
import type { Log } from '../../../formats/toLog';
import { Button } from '../../../ui/Button';
import { ValueField } from '../../../ui/fields/ValueField';
import { ApplyDialog } from '../apply/later';
import styles from '../Bench.module.css';

interface Props {
  robot: RobotRecord;
  /** The log that was taken; null: none was. */
  log: Log | null;
  onApplied(): void;
}

const SPEED_M_PER_S = 0.2;

/** A sensor that is switched between two modes: how long that takes, how many old readings come first. */
export function ModeSwitch({ robot, log, onApplied }: Props) {
  const [timed, setTimed] = useState({ switches: 20, withoutS: 0.5 });
  const [withS, setWith] = useState<number | null>(null);
  const [typedOld, setOld] = useState(0);
  const [applying, setApplying] = useState(false);
  const logged = useMemo(() => (log === null ? null : switchedIn(log)), [log]);
  const time =
    logged !== null
      ? { value: logged.usualS, low95: logged.usualS, high95: logged.worstS }
      : withS === null
        ? null
        : switchFromWatch({ ...timed, withS });
  const oldReadings = logged?.oldReadings ?? typedOld;
  const { loopPeriodS } = robot.robot;
  const [colour] = devicesOf(robot.robot, 'colour sensor');
  const [light] = devicesOf(robot.robot, 'light sensor');
  const sensorPeriodS = (colour ?? light)?.behaviour.periodS ?? loopPeriodS;
  const sentences =
    time && switchSentences(time, oldReadings, { sensorPeriodS, speedMPerS: SPEED_M_PER_S });
  const value: ModeSwitchCalibration | null = time && {
    kind: 'mode-switch',
    switchS: time.value,
    low95S: time.low95,
    high95S: time.high95,
    oldReadings,
    switches: logged?.switches ?? timed.switches,
  };
  return (
    <details>
      <summary>A sensor that is switched between two modes</summary>
      <div className={styles.work}>
        <p>
          {logged === null
            ? 'Take a log in which two channels of a sensor are read by turns, the other one left empty; or let a program switch it to and fro, with a stopwatch, and once more without switching.'
            : `The log has ${logged.switches} switches.`}
        </p>
        {logged === null && (
          <div className={styles.fields}>
            <ValueField
              field={SWITCHED.switches}
              value={timed.switches}
              onChange={(switches) => setTimed({ ...timed, switches })}
            />
            <ValueField
              field={SWITCHED.withS}
              value={withS}
              onChange={setWith}
              onClear={() => setWith(null)}
            />
            <ValueField
              field={SWITCHED.withoutS}
              value={timed.withoutS}
              onChange={(withoutS) => setTimed({ ...timed, withoutS })}
            />
            <ValueField field={SWITCHED.oldReadings} value={typedOld} onChange={setOld} />
          </div>
        )}
        {sentences !== null && (
          <div className={styles.verdict} data-testid="mode-switch">
            <p>
              <strong>{sentences.found}</strong>
            </p>
            <p>{sentences.means}</p>
            <p className={styles.next}>{sentences.next}</p>
          </div>
        )}
        {value !== null && (
          <div className={styles.actions}>
            <Button onClick={() => setApplying(true)}>Reckon with this from now on…</Button>
          </div>
        )}
      </div>
      {applying && value !== null && (
        <ApplyDialog
          robot={robot}
          value={value}
          evidence={{ trialsId: null, stillCheckId: null, raw: [logged ?? { ...timed, withS }] }}
          surface={null}
          battery={null}
          onApplied={() => {
            setApplying(false);
            onApplied();
          }}
          onClose={() => setApplying(false)}
        >
          <p>“Crossing a line” reckons with it where the program looks in both modes.</p>
        </ApplyDialog>
      )}
    </details>
  );
}
