import type { Ref } from 'react';
import { fieldsOf } from '../../../ui/fields/recordForm';
import { DEG, HEADING, SMALL_LENGTH } from '../../../ui/fields/units';
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
    <F.Choice
      name="by"
      label="Truly turned, measured by"
      options={[
        { value: 'protractor', label: 'protractor' },
        { value: 'along the reference', label: 'ruler, reference' },
        { value: 'along the edge', label: 'ruler, edge' },
        { value: 'eye, in degrees', label: 'eye, in degrees' },
        { value: 'eye', label: 'eye' },
      ]}
    />
    {by === 'eye' ? (
      <F.Choice
        name="lookedAt"
        label="Looked at"
        options={[
          { value: 'one turn', label: 'one turn' },
          { value: 'a square of four', label: 'a square: does it close?' },
        ]}
      />
    ) : (
      <F.Choice
        name="means"
        label="The reading is"
        options={[
          { value: 'whole', label: 'the whole turn' },
          { value: 'over', label: 'what is over' },
        ]}
      />
    )}
  </div>
);

/** What was read off: typed anew for every turn. */
export const ReadingFields = ({ by, means, first }: Reading & FirstField) => (
  <div className={styles.fields}>
    {by === 'eye' && (
      <F.Number
        name="wantedRad"
        label="It is to make"
        unit={DEG}
        min={5}
        max={720}
        hint="told a few degrees less, it may make just that"
      />
    )}
    {by === 'protractor' && (
      <F.Number
        name="angleRad"
        label="Protractor"
        unit={DEG}
        min={-90}
        max={800}
        optional
        inputRef={first}
        hint={means === 'whole' ? 'as a positive number' : 'positive: too far'}
      />
    )}
    {by !== 'eye' && (
      <F.Number
        name="readingRad"
        label="Heading sensor showed"
        unit={DEG}
        min={-90}
        max={800}
        optional
        hint="after the turn, if you noted it"
      />
    )}
    {by === 'eye, in degrees' && (
      <>
        <F.Number
          name="angleRad"
          label="About"
          unit={DEG}
          min={-90}
          max={800}
          optional
          inputRef={first}
        />
        <F.Number
          name="withinRad"
          label="Give or take"
          unit={DEG}
          min={1}
          max={45}
          hint="95 of 100 such guesses are within it"
        />
      </>
    )}
    {(by === 'along the reference' || by === 'along the edge') && (
      <>
        <F.Number
          name="lengthM"
          label={by === 'along the edge' ? 'Length of the edge' : 'Along the reference'}
          unit={SMALL_LENGTH}
          min={10}
          max={2000}
        />
        <F.Number
          name="offsetM"
          label="Offset from the reference"
          unit={SMALL_LENGTH}
          min={-2000}
          max={2000}
          optional
          inputRef={first}
        />
      </>
    )}
  </div>
);

/** Some sensors err by direction, some places by what is near: noted only by who looks for it. */
export const StoodFields = ({ facedRad, place }: Reading) => (
  <details open={facedRad !== null || place !== ''}>
    <summary>Which way it faced, where it stood</summary>
    <div className={styles.fields}>
      <F.Number
        name="facedRad"
        label="Faced before the turn"
        unit={HEADING}
        min={-360}
        max={360}
        optional
        hint="0 along the table’s long edge"
      />
      <F.Text name="place" label="Stood at" maxLength={40} />
    </div>
  </details>
);

/** A drive before it may have left the robot askew: what is left over of that is none of the turn's. */
export const BeganFields = ({ followed }: Reading) => (
  <div className={styles.fields}>
    <F.Choice
      name="followed"
      label="It began after"
      options={[
        { value: 'standing still', label: 'standing still' },
        { value: 'a drive', label: 'a drive' },
      ]}
    />
    {followed === 'a drive' && (
      <>
        <F.Number
          name="startFacedRad"
          label="Truly faced as it began"
          unit={HEADING}
          min={-90}
          max={90}
          optional
          hint="from the line that it should face along"
        />
        <F.Number
          name="startReadRad"
          label="Its sensor read then"
          unit={HEADING}
          min={-90}
          max={90}
          optional
          hint="either of the two will do"
        />
        <F.Choice
          name="turnsTo"
          label="Its program turns"
          options={[
            { value: true, label: 'to that heading' },
            { value: false, label: 'by that angle' },
          ]}
        />
      </>
    )}
  </div>
);
