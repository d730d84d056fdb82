import { useState } from 'react';
import { ulid } from 'ulid';
import { leadFor } from '../../../core/calibration/turnStop';
import type { TurnsCalibration } from '../../../core/calibration/kinds/turns/schema';
import { judgeConfirmation, type ConfirmationTurn } from '../../../core/calibration/confirm';
import { degreesFromRadians, radiansFromDegrees } from '../../../core/geometry/angle';
import { degrees, number } from '../../../core/text/quantities';
import type { SavedCalibration } from '../../../formats/benchRecords';
import { Button } from '../../../ui/Button';
import { NumberField } from '../../../ui/NumberField';
import { DEG } from '../../../ui/units';
import { putRecord, sentenceOf } from '../../api';
import styles from '../Bench.module.css';
import { useProgram } from '../standIn/useProgram';

interface Props {
  calibration: SavedCalibration;
  turns: TurnsCalibration;
  onTold(text: string): void;
}

const ANGLES = [90, -90, 180].map(radiansFromDegrees);

/** Three turns with the new commands: do they come right? */
export function ConfirmTurns({ calibration, turns, onTold }: Props) {
  const program = useProgram();
  const rateRadPerS = turns.groups[0]?.rates[0] ?? radiansFromDegrees(90);
  const [actual, setActual] = useState<(number | null)[]>([null, null, null]);
  const [noted, setNoted] = useState(false);
  const set = (i: number, value: number | null) =>
    setActual((old) => old.map((one, j) => (j === i ? value : one)));
  const done = ANGLES.flatMap((wantedRad, i): ConfirmationTurn[] => {
    const actualRad = actual[i];
    return actualRad == null ? [] : [{ wantedRad, actualRad }];
  });
  const judged = judgeConfirmation(turns, rateRadPerS, done);
  const note = async () => {
    try {
      const id = ulid();
      await putRecord('calibration-changes', {
        id,
        robotId: calibration.robotId,
        kind: 'turns',
        calibrationId: calibration.id,
        reason: judged.sentence,
        who: null,
      } as { id: string });
      setNoted(true);
      onTold('Noted in the journal.');
    } catch (error) {
      onTold(sentenceOf(error));
    }
  };
  return (
    <section aria-label="Confirmation" className={styles.do}>
      <h2>Three turns to confirm it</h2>
      <p>{judged.sentence}</p>
      <ol className={styles.confirm}>
        {ANGLES.map((wantedRad, i) => {
          const lead = leadFor(turns, wantedRad, rateRadPerS) ?? 0;
          const way = wantedRad < 0 ? 'right' : 'left';
          return (
            <li key={wantedRad}>
              <span>
                {degrees(Math.abs(wantedRad), 0)} to the {way} at {degrees(rateRadPerS, 0)}/s: stop
                at {number(degreesFromRadians(Math.abs(wantedRad) - lead), 1)}°
              </span>
              <NumberField
                inline
                label={`Truly turned, ${degrees(Math.abs(wantedRad), 0)} to the ${way}`}
                unit={DEG}
                min={0}
                max={720}
                value={actual[i] == null ? null : Math.abs(actual[i])}
                onChange={(size) => set(i, Math.sign(wantedRad) * size)}
                onClear={() => set(i, null)}
              />
              <Button
                disabled={!program.isOn || program.moving || program.running}
                onClick={() =>
                  void program.run(
                    [
                      {
                        kind: 'turn',
                        angleRad: wantedRad,
                        how: { school: 'stop-early', rateRadPerS, leadRad: Math.max(0, lead) },
                      },
                    ],
                    ({ turnedRad }) => set(i, turnedRad),
                  )
                }
              >
                Stand-in: {degrees(Math.abs(wantedRad), 0)} {way}
              </Button>
            </li>
          );
        })}
      </ol>
      {done.length === ANGLES.length && !noted && (
        <div className={styles.actions}>
          <Button look="strong" onClick={() => void note()}>
            Note it in the journal
          </Button>
        </div>
      )}
    </section>
  );
}
