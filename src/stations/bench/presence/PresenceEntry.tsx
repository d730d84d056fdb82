import { useState } from 'react';
import { ulid } from 'ulid';
import { devicesOf } from '../../../core/devices/ofRobot';
import { evenly } from '../../../core/light/lightScale';
import { PRESENCE_TRIAL } from '../../../core/trials/presence';
import type { PresenceTrialRecord } from '../../../formats/benchRecords';
import type { RobotRecord } from '../../../formats/records';
import { Button } from '../../../ui/Button';
import { ChoiceField } from '../../../ui/fields/ChoiceField';
import { ValueField } from '../../../ui/fields/ValueField';
import { useLiveReadings } from '../logs/useLiveReadings';
import { useSource } from '../logs/useSource';
import { typedReadings } from '../logs/typedReadings';
import { ReadingForm } from '../trials/ReadingForm';

interface Props {
  robot: RobotRecord;
  by: string;
  trials: readonly PresenceTrialRecord[];
  onReadings(readings: PresenceTrialRecord[]): void;
}

const READINGS_EACH = 10;
const AT_ONCE = 5;
const LISTENS_S = 1;
const OTHER = { yes: 'no', no: 'yes' } as const;

/** Reading after reading: ten with something there, ten without. */
export function PresenceEntry({ robot, by, trials, onReadings }: Props) {
  const [there, setThere] = useState<'yes' | 'no'>(trials.at(-1)?.there ?? 'yes');
  const [batteryV, setBattery] = useState<number | null>(trials.at(-1)?.batteryV ?? null);
  const [problem, setProblem] = useState<string | null>(null);
  const [source] = useSource('stand-in');
  const unit = robot.robot.units.find(({ label }) => label === by);
  const live = useLiveReadings(robot.robot, unit?.kind ?? 'distance sensor', by);
  const count = (is: 'yes' | 'no') => trials.filter((one) => one.there === is).length;
  const take = (readings: readonly (number | null)[]) => {
    onReadings(
      readings.map((reading) => ({ id: ulid(), there, reading, batteryV, setAsideReason: null })),
    );
    setProblem(null);
    const isFull = count(there) + readings.length >= READINGS_EACH;
    if (isFull && count(OTHER[there]) < READINGS_EACH) setThere(OTHER[there]);
  };
  const takeTyped = (typed: string): string | null => {
    const { readings, bad } = typedReadings(typed, 1);
    if (bad !== null) {
      return `“${bad.slice(0, 20)}” is no reading: type a number, or x where nothing came back.`;
    }
    take(readings);
    return null;
  };
  const takeLive = () =>
    void live.take(source === 'serial' ? 'serial' : 'stand-in', LISTENS_S, (looks) => {
      if (looks.length === 0) setProblem('Nothing was read in that second.');
      else take(evenly(looks, AT_ONCE).map(([first = null]) => first));
    });
  const isPluggedIn =
    unit !== undefined && devicesOf(robot.robot, unit.kind).some(({ id }) => id === unit.id);
  return (
    <ReadingForm
      id="presence"
      label="It reads"
      above={<ChoiceField field={PRESENCE_TRIAL.fields.there} value={there} onChange={setThere} />}
      after={
        <ValueField
          field={PRESENCE_TRIAL.fields.batteryV}
          hint="if it is noted"
          value={batteryV}
          onChange={setBattery}
          onClear={() => setBattery(null)}
        />
      }
      take={takeTyped}
      onArrow={() => setThere(OTHER[there])}
      live={
        isPluggedIn
          ? {
              label: `Take ${AT_ONCE} as it reads now`,
              isTaking: live.isTaking,
              problem: problem ?? live.problem,
              take: takeLive,
            }
          : null
      }
      more={<Button onClick={() => take([null])}>Nothing came back</Button>}
      place={
        <>
          {count('yes')} with something there, {count('no')} without: {READINGS_EACH} of each tell.{' '}
          <kbd>↑</kbd> <kbd>↓</kbd> the other; <kbd>x</kbd> nothing came back.
        </>
      }
    />
  );
}
