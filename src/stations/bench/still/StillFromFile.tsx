import { clockOf, dayOf } from '../../../ui/dates';
import { useState } from 'react';
import type { RawConvention } from '../../../core/channels/rawConvention';
import type { SavedStillCheck } from '../../../formats/benchRecords';
import { contentId } from '../../../formats/contentId';
import type { Log } from '../../../formats/toLog';
import { Button } from '../../../ui/Button';
import { DateTimeField } from '../../../ui/fields/DateTimeField';
import { Notice } from '../../../ui/Notice';
import styles from '../Bench.module.css';
import { FileSource } from '../logs/FileSource';
import { POWER_UP_NOT_KNOWN, PowerUpFields, type PowerUp } from './PowerUpFields';

/** A log from a file, with what only whoever recorded it knows. */
export interface StillFile extends PowerUp {
  log: Log;
  /** Follows from the content: the same file again is the same log. */
  logId: string;
  name: string;
  takenAt: string;
}

interface Props {
  robotId: string;
  raw: RawConvention;
  /** The checks that are kept, set aside or not. */
  known: readonly SavedStillCheck[];
  /** A new file was chosen: what stood there belongs to another. */
  onChosen(): void;
  onJudge(file: StillFile): void;
}

const day = (iso: string) => `${dayOf(iso)}, ${clockOf(iso)}`;

/** A still check from a file: its own date, its own answer to how the sensor was started. */
export function StillFromFile({ robotId, raw, known, onChosen, onJudge }: Props) {
  const [file, setFile] = useState<StillFile | null>(null);
  const earlier = known.find(({ logId }) => logId === file?.logId);
  const change = (fields: Partial<StillFile>) =>
    setFile((now) => (now === null ? null : { ...now, ...fields }));
  return (
    <div className={styles.work}>
      <FileSource
        raw={raw}
        onLog={({ log, content }, name, modifiedAt) => {
          onChosen();
          setFile({
            log,
            logId: contentId(content, robotId),
            name: name.slice(0, 80),
            takenAt: modifiedAt.toISOString(),
            ...POWER_UP_NOT_KNOWN,
          });
        }}
      />
      {earlier !== undefined && (
        <Notice tone="careful">
          This file was judged already: it is the check of {day(earlier.takenAt)}
          {earlier.setAsideReason === null ? '' : ', which is set aside'}. It counts once.
        </Notice>
      )}
      {file !== null && earlier === undefined && (
        <>
          <div className={styles.fields}>
            <DateTimeField
              label="Recorded"
              value={file.takenAt}
              onChange={(takenAt) => change({ takenAt })}
            />
            <PowerUpFields value={file} onChange={change} asksWhen />
          </div>
          <div className={styles.actions}>
            <Button
              look="strong"
              onClick={() => {
                setFile(null);
                onJudge(file);
              }}
            >
              Judge {file.name}
            </Button>
          </div>
        </>
      )}
    </div>
  );
}
