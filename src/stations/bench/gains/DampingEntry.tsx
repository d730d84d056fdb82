import { DAMPING_LOOK } from '../../../core/trials/gain';
import { useState } from 'react';
import type { TunedId } from '../../../core/robot/tunedIds';
import {
  SETTLES,
  type DampingLook,
  type DampingStudy,
  type Settles,
} from '../../../core/tuning/damping';
import { Button } from '../../../ui/Button';
import {
  FieldsInErrorProvider,
  MendFirst,
  useFieldsInError,
} from '../../../ui/fields/fieldsInError';
import { ValueField } from '../../../ui/fields/ValueField';
import { dampingUnitOf, integralUnitOf } from '../../../ui/fields/units';
import styles from '../Bench.module.css';

interface Props {
  controller: TunedId;
  study: DampingStudy;
  /** Whether any was tried with this gain. */
  isBegun: boolean;
  onLook(look: DampingLook): void;
}

const LOOKS = DAMPING_LOOK.seen.options;

/** What is tuned second, where a program has it: damping, and an integral for an error that stays. */
export const DampingEntry = (props: Props) => (
  <details open={props.isBegun}>
    <summary>Its program has a damping constant, too</summary>
    <FieldsInErrorProvider>
      <Entry {...props} />
    </FieldsInErrorProvider>
  </details>
);

function Entry({ controller, study, onLook }: Props) {
  const wrong = useFieldsInError();
  const [typed, setTyped] = useState<{ damping?: number; integral?: number }>({});
  const { damping, integral } = { ...study, ...typed };
  const { found, means, next } = study.sentences;
  const note = (seen: Settles) => {
    onLook({ damping, integral, seen });
    setTyped({});
  };
  return (
    <>
      <p data-testid="damping">
        <strong>{found}</strong> {means} {next}
      </p>
      <div className={styles.fields}>
        <ValueField
          field={DAMPING_LOOK.damping}
          unit={dampingUnitOf(controller)}
          value={damping}
          onChange={(value) => setTyped({ ...typed, damping: value })}
        />
        <ValueField
          field={DAMPING_LOOK.integral}
          unit={integralUnitOf(controller)}
          value={integral}
          onChange={(value) => setTyped({ ...typed, integral: value })}
        />
      </div>
      <div className={styles.actions} role="group" aria-label="How it came back with damping">
        {SETTLES.map((seen) => (
          <Button key={seen} look="strong" disabled={wrong > 0} onClick={() => note(seen)}>
            {LOOKS[seen]}
          </Button>
        ))}
      </div>
      <MendFirst />
    </>
  );
}
