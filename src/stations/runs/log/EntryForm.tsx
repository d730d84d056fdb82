import { errorScale, roundLength } from '../../../core/text/lengths';
import { positiveTurn, errorNumber } from '../../../core/text/quantities';
import { useEffect, useRef, type RefObject } from 'react';
import { BATTERY, END } from '../../../core/runs/description';
import { CAUSES } from '../../../core/runs/causes';
import type { Mission } from '../../../core/table/table';
import type { Pose } from '../../../core/geometry/pose';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/fields/Choice';
import { fieldsOf, RecordForm } from '../../../ui/fields/recordForm';
import { runForm } from '../../parsers';
import { allWorked, endOf, toggleMission, workedAsAWhole, type Entry } from './entry';
import styles from './LogStation.module.css';
import { MissionToggles } from './MissionToggles';
import { Pad } from './Pad';

export interface EntryRefs {
  x: RefObject<HTMLInputElement | null>;
  y: RefObject<HTMLInputElement | null>;
  heading: RefObject<HTMLInputElement | null>;
}

interface Props {
  title: string;
  entry: Entry;
  missions: readonly Mission[];
  target: Pose;
  endMission: Mission | null;
  /** Of a list of missions nothing says where it should end. */
  hasPlannedEnd: boolean;
  earlier: readonly { xM: number; yM: number }[];
  reachM: number;
  placers: readonly string[];
  batteries: readonly string[];
  refs: EntryRefs;
  /** Whether the title takes the focus: after a run was logged. */
  takesFocus: boolean;
  onReach(reachM: number): void;
  onChange(entry: Entry): void;
  onLog(): void;
  onCancel(): void;
}

/** Half widths of the pad. */
export const reachesM = () => [0.03, 0.06, 0.15, 0.4].map(roundLength);

const F = fieldsOf<Entry>();

const EndFields = ({ refs }: Pick<Props, 'refs'>) => (
  <div className={styles.endFields}>
    <F.Value name="endXM" field={END.endXM} inputRef={refs.x} />
    <F.Value name="endYM" field={END.endYM} inputRef={refs.y} />
    <F.Value
      name="endHeadingRad"
      field={END.endHeadingRad}
      label={`Heading (${positiveTurn()})`}
      inputRef={refs.heading}
    />
  </div>
);

function CauseChoice({ entry, onChange }: Pick<Props, 'entry' | 'onChange'>) {
  return (
    <fieldset className={styles.causes}>
      <legend>What went wrong first?</legend>
      {CAUSES.map((cause, index) => (
        <label key={cause}>
          <input
            type="radio"
            name="cause"
            checked={entry.cause === cause}
            onChange={() => onChange({ ...entry, cause })}
          />
          <span>
            <kbd aria-hidden="true">{index + 1}</kbd> {cause}
          </span>
        </label>
      ))}
    </fieldset>
  );
}

/** Everything about one run, in the order in which it is seen at the table. */
export function EntryForm(props: Props) {
  const { entry, missions, onChange } = props;
  const title = useRef<HTMLHeadingElement>(null);
  const { takesFocus } = props;
  useEffect(() => {
    if (takesFocus) title.current?.focus();
  }, [takesFocus]);
  const worked = workedAsAWhole(entry);
  return (
    <RecordForm
      className={styles.entry}
      label="Entry of a run"
      record={entry}
      schema={runForm}
      onChange={onChange}
      onSubmit={props.onLog}
    >
      <div className={styles.titleRow}>
        <h2 ref={title} tabIndex={-1}>
          {props.title}
        </h2>
        <span className="faint">
          {worked === null
            ? 'nothing is said yet'
            : `the run ${worked ? 'worked' : 'failed'}${endOf(entry) === null && props.hasPlannedEnd ? ', no end measured: it counts for success all the same' : ''}`}
        </span>
        {entry.version > 0 && <Button onClick={props.onCancel}>Leave it as it was</Button>}
        <Button look="strong" type="submit">
          {entry.version === 0 ? 'Log the run' : 'Save the correction'} <kbd>Enter</kbd>
        </Button>
      </div>
      {missions.length > 0 ? (
        <MissionToggles
          missions={missions}
          results={entry.missions}
          onToggle={(id) => onChange(toggleMission(entry, id))}
          onAll={() =>
            onChange(
              allWorked(
                entry,
                missions.map(({ id }) => id),
              ),
            )
          }
        />
      ) : (
        <Choice
          label="The run (key w)"
          value={entry.worked === null ? null : entry.worked ? 'worked' : 'failed'}
          options={[
            { value: 'worked', label: 'worked' },
            { value: 'failed', label: 'failed' },
          ]}
          onChange={(value) => onChange({ ...entry, worked: value === 'worked' })}
        />
      )}
      <div className={styles.where}>
        {props.hasPlannedEnd && (
          <Pad
            reachM={props.reachM}
            target={props.target}
            mission={props.endMission}
            earlier={props.earlier}
            value={endOf(entry)}
            headingRad={entry.endHeadingRad}
            onChange={(end) =>
              onChange({ ...entry, endXM: end?.xM ?? null, endYM: end?.yM ?? null })
            }
          />
        )}
        <div className={styles.fields}>
          {props.hasPlannedEnd && (
            <>
              <EndFields refs={props.refs} />
              <Choice
                label={`Pad reaches (${errorScale().label})`}
                value={String(props.reachM)}
                options={reachesM().map((reachM) => ({
                  value: String(reachM),
                  label: `±${errorNumber(reachM)}`,
                }))}
                onChange={(value) => props.onReach(Number(value))}
              />
            </>
          )}
          <div className={styles.pair}>
            <F.Text
              name="placedBy"
              label="Placed by (key p)"
              maxLength={40}
              suggestions={props.placers}
            />
            <F.Text name="battery" label="Battery" maxLength={40} suggestions={props.batteries} />
          </div>
          <div className={styles.pair}>
            <F.Value name="batteryV" field={BATTERY.batteryV} />
            <F.Text name="note" label="Note" maxLength={500} />
          </div>
        </div>
      </div>
      {worked === false && <CauseChoice entry={entry} onChange={onChange} />}
    </RecordForm>
  );
}
