import { useState } from 'react';
import { ulid } from 'ulid';
import { BLACK } from '../../../core/colour/colour';
import { MOST_LETTERS } from '../../../core/description/description';
import { evenly, fullOf, inScale } from '../../../core/light/lightScale';
import { doneAt, nextSample, READINGS_EACH, sampleAfter } from '../../../core/light/samplePlan';
import { LIGHT_TRIAL } from '../../../core/trials/light';
import type { LightTrialRecord, LightTrials } from '../../../formats/benchRecords';
import type { RobotRecord } from '../../../formats/records';
import { ChoiceField } from '../../../ui/fields/ChoiceField';
import { TextField } from '../../../ui/fields/TextField';
import { ValueField } from '../../../ui/fields/ValueField';
import { useLiveReadings } from '../logs/useLiveReadings';
import { useSource } from '../logs/useSource';
import { typedReadings } from '../logs/typedReadings';
import { ReadingForm } from '../trials/ReadingForm';
import { doWithStandIn } from '../standIn/standInStore';

interface Props {
  robot: RobotRecord;
  unit: string;
  /** Of this unit. */
  trials: readonly LightTrialRecord[];
  conditions: LightTrials['conditions'];
  onReadings(readings: LightTrialRecord[]): void;
}

/** Readings of the light sensor come in percent; a second of them holds more than are taken. */
const LIVE_FULL = 100;
const LISTENS_S = 1;

/** Reading after reading by keys alone: five over the line, five beside it, then the next place. */
export function LightEntry({ robot, unit, trials, conditions, onReadings }: Props) {
  const [at, setAt] = useState(() => sampleAfter(trials));
  const [heightM, setHeight] = useState<number | null>(trials.at(-1)?.heightM ?? null);
  const [problem, setProblem] = useState<string | null>(null);
  const [source] = useSource('stand-in');
  const live = useLiveReadings(robot.robot, 'light sensor', unit);
  const full = fullOf(conditions);

  const take = (readings: readonly number[]) => {
    const records = readings.map((reading): LightTrialRecord => ({
      id: ulid(),
      unit,
      ...at,
      reading,
      heightM,
      setAsideReason: null,
    }));
    onReadings(records);
    setProblem(null);
    setAt(nextSample([...trials, ...records], at));
  };
  const takeTyped = (typed: string): string | null => {
    const { readings, bad } = typedReadings(typed, 1);
    const odd = bad ?? (readings.includes(null) ? typed : null);
    if (odd !== null) {
      return `“${odd.slice(0, 20)}” is no reading: type the number that the sensor shows.`;
    }
    take(readings.filter((one) => one !== null));
    return null;
  };
  const takeLive = async () => {
    if (source !== 'serial') {
      // Whoever holds the stand-in holds it over what is asked for: a black card is its line.
      const refused = await doWithStandIn({
        do: 'lay-card',
        colour: at.over === 'line' ? BLACK : null,
      });
      if (refused !== null) return setProblem(refused);
    }
    await live.take(source === 'serial' ? 'serial' : 'stand-in', LISTENS_S, (looks) => {
      const shown = looks.map(([light = null]) => light).filter((one) => one !== null);
      if (shown.length === 0) setProblem('Nothing was read in that second.');
      else take(evenly(shown, READINGS_EACH).map((one) => inScale(one / LIVE_FULL, full ?? 0)));
    });
  };
  const done = doneAt(trials, at);
  return (
    <ReadingForm
      id="light"
      label="It reads"
      above={
        <ChoiceField
          field={LIGHT_TRIAL.fields.over}
          value={at.over}
          onChange={(over) => setAt({ ...at, over })}
        />
      }
      after={
        <>
          <TextField
            label={LIGHT_TRIAL.fields.place.label}
            maxLength={MOST_LETTERS}
            value={at.place}
            onChange={(place) => setAt({ ...at, place })}
          />
          <ValueField
            field={LIGHT_TRIAL.fields.heightM}
            hint="empty: as it is mounted"
            value={heightM}
            onChange={setHeight}
            onClear={() => setHeight(null)}
          />
        </>
      }
      take={takeTyped}
      onArrow={() => setAt({ ...at, over: at.over === 'line' ? 'floor' : 'line' })}
      live={{
        label: `Take ${READINGS_EACH} as it reads now`,
        isTaking: live.isTaking,
        isOff: full === null,
        problem: problem ?? live.problem,
        take: () => void takeLive(),
      }}
      place={
        <>
          {done < READINGS_EACH
            ? `Reading ${done + 1} of ${READINGS_EACH} over the ${at.over}, place ${at.place}.`
            : `${done} readings over the ${at.over} are there, place ${at.place}.`}{' '}
          <kbd>↑</kbd> <kbd>↓</kbd> the other surface; a pasted column is taken line by line.
          {full === null && ' To read live, say below what the largest count is.'}
        </>
      }
    />
  );
}
