import type { Ref } from 'react';
import { TURN_ENTRY as FIELDS } from '../../../core/trials/turn';
import { fieldsOf } from '../../../ui/fields/recordForm';
import type { TurnEntryValues } from '../trials/entrySchemas';
import styles from '../Bench.module.css';
import type { Reading } from './TurnEntry';

const F = fieldsOf<TurnEntryValues>();

interface FirstField {
  /** What is typed anew for every trial. */
  first: Ref<HTMLInputElement>;
}

/** By what the angle was truly measured, and what its figure means: the same from one turn to the next. */
export const MeasuredBy = ({ by }: Pick<Reading, 'by'>) => (
  <div className={styles.fields}>
    <F.Value name="by" field={FIELDS.by} />
    {by === 'eye' ? (
      <F.Value name="lookedAt" field={FIELDS.lookedAt} />
    ) : (
      <F.Value name="means" field={FIELDS.means} />
    )}
  </div>
);

/** What was read off: typed anew for every turn. */
export const ReadingFields = ({ by, means, first }: Reading & FirstField) => (
  <div className={styles.fields}>
    {by === 'eye' && <F.Value name="wantedRad" field={FIELDS.wantedRad} />}
    {by === 'protractor' && (
      <F.Value
        name="angleRad"
        field={FIELDS.angleRad}
        label="Protractor"
        hint={means === 'whole' ? 'as a positive number' : 'positive: too far'}
        inputRef={first}
      />
    )}
    {by !== 'eye' && <F.Value name="readingRad" field={FIELDS.readingRad} />}
    {by === 'eye, in degrees' && (
      <>
        <F.Value name="angleRad" field={FIELDS.angleRad} label="About" inputRef={first} />
        <F.Value name="withinRad" field={FIELDS.withinRad} />
      </>
    )}
    {(by === 'along the reference' || by === 'along the edge') && (
      <>
        <F.Value
          name="lengthM"
          field={FIELDS.lengthM}
          {...(by === 'along the edge' && { label: 'Length of the edge' })}
        />
        <F.Value name="offsetM" field={FIELDS.offsetM} inputRef={first} />
      </>
    )}
  </div>
);

/** Some sensors err by direction, some places by what is near: noted only by who looks for it. */
export const StoodFields = ({ facedRad, place }: Reading) => (
  <details open={facedRad !== null || place !== ''}>
    <summary>Which way it faced, where it stood</summary>
    <div className={styles.fields}>
      <F.Value name="facedRad" field={FIELDS.facedRad} />
      <F.Value name="place" field={FIELDS.place} />
    </div>
  </details>
);

/** A drive before it may have left the robot askew: what is left over of that is none of the turn's. */
export const BeganFields = ({ followed }: Reading) => (
  <div className={styles.fields}>
    <F.Value name="followed" field={FIELDS.followed} />
    {followed === 'a drive' && (
      <>
        <F.Value name="startFacedRad" field={FIELDS.startFacedRad} />
        <F.Value name="startReadRad" field={FIELDS.startReadRad} />
        <F.Value name="turnsTo" field={FIELDS.turnsTo} />
      </>
    )}
  </div>
);
