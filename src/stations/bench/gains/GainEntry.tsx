import { GAIN_TRIAL } from '../../../core/trials/gain';
import { useState } from 'react';
import type { Robot } from '../../../core/robot/robot';
import { SEEN, type SeenGain } from '../../../core/tuning/byEye';
import type { TunedId } from '../../../core/robot/tunedIds';
import { tunedInProgram } from '../../../core/tuning/tunedInProgram';
import { Button } from '../../../ui/Button';
import {
  FieldsInErrorProvider,
  MendFirst,
  useFieldsInError,
} from '../../../ui/fields/fieldsInError';
import { ValueField } from '../../../ui/fields/ValueField';
import { ProgramField } from '../../../ui/fields/ProgramField';
import { gainUnit } from '../../../ui/fields/units';
import styles from '../Bench.module.css';

interface Props {
  /** As it was measured: it says what a gain is in its program. */
  robot: Robot;
  controller: TunedId;
  speed: number;
  /** The gain in the program now. */
  gain: number;
  onGain(gain: number): void;
  onLook(seen: SeenGain): void;
}

const LOOKS = GAIN_TRIAL.fields.seen.options;

/** The gain as it was typed into the program, and how the robot looked with it. */
export const GainEntry = (props: Props) => (
  <FieldsInErrorProvider>
    <Entry {...props} />
  </FieldsInErrorProvider>
);

function Entry({ robot, controller, speed, gain, onGain, onLook }: Props) {
  const wrong = useFieldsInError();
  const unit = gainUnit(controller);
  const own = tunedInProgram(robot, controller, gain, speed);
  return (
    <>
      <div className={styles.fields}>
        <ValueField field={GAIN_TRIAL.fields.gain} unit={unit} value={gain} onChange={onGain} />
        {own !== null && (
          <ProgramField
            label="In its own command"
            unit={own.unit}
            decimals={3}
            value={own.perUnit}
            signed
            onTake={(typed) => {
              onGain(own.gainOf(typed));
              return true;
            }}
          />
        )}
      </div>
      <div className={styles.actions} role="group" aria-label="How it came back">
        {SEEN.map((seen) => (
          <Button
            key={seen}
            look="strong"
            disabled={wrong > 0 || gain === 0}
            onClick={() => onLook(seen)}
          >
            {LOOKS[seen]}
          </Button>
        ))}
      </div>
      <MendFirst />
    </>
  );
}

/** A gain that follows what is advised, until another is typed. */
export function useGainField(advised: number | null) {
  const [typed, setTyped] = useState<number | null>(null);
  return { gain: typed ?? advised, type: setTyped, follow: () => setTyped(null) };
}
