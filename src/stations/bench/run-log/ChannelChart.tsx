import { useState } from 'react';
import { withBreaks } from '../../../core/chart/withBreaks';
import { extentOf } from '../../../core/channels/extent';
import { channelLabel, channelOf } from '../../../core/channels/key';
import { shownRange, shownScale } from '../../../core/channels/shown';
import { channelsIn } from '../../../core/channels/log';
import { counted } from '../../../core/text/quantities';
import type { Log } from '../../../formats/toLog';
import { Plot } from '../../../ui/chart/Plot';
import { Frame } from '../../../ui/Frame';
import { Select } from '../../../ui/fields/Select';
import styles from './ChannelChart.module.css';

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
  const { factor, unit } = shownScale(kind);
  const extent = extentOf(values);
  const gaps =
    extent === null || extent.missing === 0
      ? ''
      : `; ${counted(extent.missing, 'gap')} (${kind.gap})`;
  const sentence =
    extent === null
      ? `Nothing was read: ${kind.gap}.`
      : `From ${shownRange(kind, extent.low, extent.high)}${gaps}.`;
  const missing = extent?.missing ?? values.length;
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
          yTitle={MEASURED_IN(unit)}
          curves={[
            {
              label,
              points: withBreaks(
                log.tS,
                values.map((value) => value * factor),
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
