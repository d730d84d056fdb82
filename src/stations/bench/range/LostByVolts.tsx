import { useMemo, useState } from 'react';
import { channelLabel, channelOf } from '../../../core/channels/key';
import { lostEchoes, TOO_MANY_LOST, type LostEchoes } from '../../../core/ranging/lostEchoes';
import type { RobotRecord } from '../../../formats/records';
import type { Log } from '../../../formats/toLog';
import { Plot } from '../../../ui/chart/Plot';
import { Frame } from '../../../ui/Frame';
import { Notice } from '../../../ui/Notice';
import { Select } from '../../../ui/fields/Select';
import { PERCENT } from '../../../ui/fields/units';
import { sentenceOf } from '../../api';
import styles from '../Bench.module.css';
import { LogSource } from '../logs/LogSource';

const distancesIn = (log: Log | null): string[] =>
  Object.keys(log?.columns ?? {}).filter((key) => channelOf(key)?.kind.key === 'distanceM');

/** What a log says, or in a sentence why it says nothing. */
function foundIn(log: Log, channel: string): LostEchoes | string {
  try {
    return lostEchoes(log, channel);
  } catch (error) {
    return sentenceOf(error);
  }
}

/** Lost echoes against the battery's voltage, from a log: at which voltage to change the battery. */
export function LostByVolts({ robot }: { robot: RobotRecord }) {
  const [log, setLog] = useState<Log | null>(null);
  const [channel, setChannel] = useState<string | null>(null);
  const channels = useMemo(() => distancesIn(log), [log]);
  const found = useMemo(
    () => (log === null ? null : foundIn(log, channel ?? channels[0] ?? '')),
    [log, channel, channels],
  );
  return (
    <details>
      <summary>Lost echoes against the battery</summary>
      <div className={styles.file}>
        <p className="faint">
          Put something flat before the sensor and leave it there. Record with a full battery and
          with one that is nearly empty, volts and distance in the log. No log? Type each look with
          its volts, lost ones left empty:{' '}
          <a href={`/bench/presence?robot=${robot.id}`}>Something there</a>.
        </p>
        {channels.length > 1 && (
          <Select
            label="Sensor"
            value={channel ?? channels[0] ?? ''}
            options={channels.map((key) => ({ value: key, label: channelLabel(key) }))}
            onChange={setChannel}
          />
        )}
        <LogSource
          robot={robot}
          meanwhile="Leave it standing before its target."
          onLog={(taken) => {
            setChannel(null);
            setLog(taken);
          }}
        />
        {typeof found === 'string' && <Notice tone="fault">{found}</Notice>}
        {found !== null && typeof found !== 'string' && (
          <Frame
            title={found.sentences.found}
            sentence={`${found.sentences.means} ${found.sentences.next}`}
            legend="◆ lost, with its 95 % interval   - - 1 %"
          >
            <Plot
              label={`Share of lost echoes against the battery’s volts. ${found.sentences.found}`}
              xTitle="battery, V"
              yTitle="lost, %"
              yFromZero
              curves={[
                {
                  label: 'lost',
                  points: found.bands.map(({ volts, lost }) => ({
                    x: volts,
                    y: PERCENT.show(lost.rate),
                  })),
                  tone: 'measured',
                  look: 'points',
                  shape: 'rectRot',
                },
                ...found.bands.map(({ volts, lost }) => ({
                  label: '',
                  points: [lost.low95, lost.high95].map((share) => ({
                    x: volts,
                    y: PERCENT.show(share),
                  })),
                  tone: 'measured' as const,
                  look: 'line' as const,
                })),
                {
                  label: '1 %',
                  points: [found.bands[0], found.bands.at(-1)].flatMap((band) =>
                    band === undefined ? [] : [{ x: band.volts, y: PERCENT.show(TOO_MANY_LOST) }],
                  ),
                  tone: 'faint',
                  look: 'line',
                  dashed: true,
                },
              ]}
            />
          </Frame>
        )}
      </div>
    </details>
  );
}
