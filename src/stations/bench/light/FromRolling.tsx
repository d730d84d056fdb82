import { useMemo, useState } from 'react';
import { ulid } from 'ulid';
import { channelLabel, channelOf } from '../../../core/channels/key';
import { fullOf, inScale } from '../../../core/light/lightScale';
import { partedLog } from '../../../core/light/partedLog';
import { counted } from '../../../core/text/quantities';
import type { LightTrialRecord, LightTrials } from '../../../formats/benchRecords';
import type { RobotRecord } from '../../../formats/records';
import type { Log } from '../../../formats/toLog';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { Select } from '../../../ui/fields/Select';
import styles from '../Bench.module.css';
import { LogSource } from '../logs/LogSource';

interface Props {
  robot: RobotRecord;
  unit: string;
  conditions: LightTrials['conditions'];
  onReadings(readings: LightTrialRecord[]): void;
}

const lightIn = (log: Log | null): string[] =>
  Object.keys(log?.columns ?? {}).filter((key) => channelOf(key)?.kind.key === 'light');

const OTHER = { line: 'floor', floor: 'line' } as const;

/** Readings while the robot rolls over line and floor: they part by themselves, each stretch a place of its own. */
export function FromRolling({ robot, unit, conditions, onReadings }: Props) {
  const [log, setLog] = useState<Log | null>(null);
  const [channel, setChannel] = useState<string | null>(null);
  const [isSwapped, setSwapped] = useState(false);
  const channels = useMemo(() => lightIn(log), [log]);
  const column = channel ?? channels[0] ?? '';
  const full = fullOf(conditions);
  const parted = useMemo(() => {
    const readings = log?.columns[column];
    return readings === undefined
      ? null
      : partedLog(Array.from(readings, (one) => (Number.isNaN(one) ? null : one)));
  }, [log, column]);
  const found = parted?.map((one) => ({ ...one, over: isSwapped ? OTHER[one.over] : one.over }));
  const count = (over: 'line' | 'floor') => found?.filter((one) => one.over === over) ?? [];
  const stretches = (over: 'line' | 'floor') => new Set(count(over).map(({ place }) => place)).size;
  const take = () => {
    const records = (found ?? []).map(({ over, place, reading, heightM }) => ({
      id: ulid(),
      unit,
      over,
      place: `rolled ${place}`,
      reading: inScale(reading, full ?? 0),
      heightM,
      setAsideReason: null,
    }));
    onReadings(records);
    setLog(null);
  };
  return (
    <details>
      <summary>While it rolls, or from a log</summary>
      <div className={styles.file}>
        <p className="faint">
          Roll it to and fro over the line, a few times and in several places, or let it drive.
          Which readings are the line’s shows by itself.
        </p>
        <LogSource
          robot={robot}
          meanwhile="Roll it over the line and back, in several places."
          onLog={(taken) => {
            setChannel(null);
            setSwapped(false);
            setLog(taken);
          }}
        />
        {channels.length > 1 && (
          <Select
            label="Sensor"
            value={column}
            options={channels.map((key) => ({ value: key, label: channelLabel(key) }))}
            onChange={setChannel}
          />
        )}
        {log !== null && found === undefined && (
          <Notice tone="fault">
            {channels.length === 0
              ? 'There is no light in this log.'
              : 'All readings of this log are alike: it was over one surface alone.'}
          </Notice>
        )}
        {found !== undefined && full === null && (
          <Notice tone="careful">Say below what the largest count is: a log is in percent.</Notice>
        )}
        {found !== undefined && full !== null && (
          <Notice
            tone="plain"
            action={
              <>
                <Button look="strong" onClick={take}>
                  Take {counted(found.length, 'reading')}
                </Button>
                <Button onClick={() => setSwapped(!isSwapped)}>
                  It is the other way round: line and floor
                </Button>
              </>
            }
          >
            {counted(stretches('line'), 'stretch', 'stretches')} over the line,{' '}
            {counted(stretches('floor'), 'stretch', 'stretches')} over the floor, at most five
            readings of each; what lay on an edge is left out.
          </Notice>
        )}
      </div>
    </details>
  );
}
