import { useState } from 'react';
import { withBreaks } from '../../../core/chart/withBreaks';
import { channelLabel, channelOf } from '../../../core/channels/key';
import { shownText } from '../../../core/channels/shown';
import { channelsIn } from '../../../core/gyro/log';
import { counted } from '../../../core/text/quantities';
import type { Log } from '../../../formats/toLog';
import { Plot } from '../../../ui/chart/Plot';
import { Frame } from '../../../ui/Frame';
import { Select } from '../../../ui/Select';
import styles from '../Bench.module.css';

const MOST_POINTS = 1500;
/** A channel that is read now and then only is drawn as points: there would be no line to see. */
const OFTEN_MISSING = 0.2;

const MEASURED_IN = (unit: string) => (unit === '' ? 'as logged' : unit);

/** Any channel of a log against time, with its gaps. */
export function ChannelChart({ log, onPick }: { log: Log; onPick(tS: number): void }) {
  const channels = channelsIn(log.columns);
  const [chosen, setChosen] = useState(
    () => channels.find(([key]) => key !== 'headingRad')?.[0] ?? channels[0]?.[0] ?? '',
  );
  const values = log.columns[chosen];
  const kind = channelOf(chosen)?.kind;
  if (values === undefined || kind === undefined) return null;
  const label = channelLabel(chosen);
  const [unit] = kind.units;
  const read = values.filter((value) => !Number.isNaN(value)).map((value) => value / unit.factor);
  const missing = values.length - read.length;
  const low = read.reduce((least, value) => Math.min(least, value), Infinity);
  const high = read.reduce((most, value) => Math.max(most, value), -Infinity);
  const told = (shown: number) => shownText(kind, shown * unit.factor);
  const gaps = missing === 0 ? '' : `; ${counted(missing, 'gap')} (${kind.gap})`;
  const sentence =
    read.length === 0
      ? `Nothing was read: ${kind.gap}.`
      : `From ${told(low)} to ${told(high)}${gaps}.`;
  return (
    <section aria-label="Channels" className={styles.channels}>
      <Select
        label="Channel of the log"
        value={chosen}
        options={channels.map(([key]) => ({ value: key, label: channelLabel(key) }))}
        onChange={setChosen}
      />
      <Frame title={label} sentence={sentence}>
        <Plot
          label={`${label}. ${sentence}`}
          xTitle="seconds"
          yTitle={MEASURED_IN(unit.name)}
          curves={[
            {
              label,
              points: withBreaks(
                log.tS,
                values.map((value) => value / unit.factor),
                MOST_POINTS,
              ),
              look: missing > OFTEN_MISSING * values.length ? 'points' : 'line',
              tone: 'measured',
            },
          ]}
          onPick={onPick}
        />
      </Frame>
    </section>
  );
}
