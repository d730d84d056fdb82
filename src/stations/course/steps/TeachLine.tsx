import { useState } from 'react';
import { radiansFromDegrees } from '../../../core/geometry/angle';
import { rawText } from '../../../core/program/rawReading';
import type { Step } from '../../../core/steps/descriptions';
import { readingOfLooks } from '../../../core/steps/teaching/readingOfLooks';
import {
  columnOf,
  headingLogged,
  readingShown,
  shownOf,
  taughtStep,
  type Teaching,
} from '../../../core/steps/teaching/teach';
import { Button } from '../../../ui/Button';
import { Choice } from '../../../ui/fields/Choice';
import { ProgramField } from '../../../ui/fields/ProgramField';
import { LIVE_OPTIONS } from '../../bench/logs/SourceChoice';
import { useHeard } from '../../bench/logs/useHeard';
import { useSource } from '../../bench/logs/useSource';
import styles from './TeachLine.module.css';

interface Props {
  all: readonly Teaching[];
  onChange(step: Step): void;
}

/** It is looked at for so long. */
const LOOKS_S = 0.5;

const nameOf = ({ taught: { of } }: Teaching): string =>
  of === 'heading' ? 'Its heading' : of.unit.label;

/** One value of a step, from where the robot stands: read live, or typed from its small screen. */
function TeachOne({ teaching, onChange }: { teaching: Teaching; onChange(step: Step): void }) {
  const [source, setSource] = useSource('stand-in');
  const [shown, setShown] = useState<number | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  const column = columnOf(teaching);
  const name = nameOf(teaching);
  const live = useHeard(
    column?.title ?? '',
    `“${name}” is not plugged in on this robot: type what it shows.`,
  );
  const { unit, decimals } = shownOf(teaching, 0);
  const isHeading = teaching.taught.of === 'heading';
  const take = (reading: number) => {
    const taught = taughtStep(teaching, reading);
    if (typeof taught === 'string') {
      setSaid(null);
      setWrong(taught);
      return;
    }
    setWrong(null);
    setSaid(`Taken: ${isHeading ? 'heading' : name} at ${rawText(shownOf(teaching, reading))}.`);
    onChange(taught);
  };
  const from = source === 'serial' ? 'serial' : 'stand-in';
  const takeLive = () => {
    setSaid(null);
    setWrong(null);
    void live.take(from, LOOKS_S, (looks) => {
      const reading = readingOfLooks(
        looks.map(([look = null]) => look),
        column?.factor ?? 1,
      );
      if (reading === null) setWrong(`${name} reads nothing from there: turn it, or move it.`);
      else take(isHeading ? headingLogged(teaching, radiansFromDegrees(reading)) : reading);
    });
  };
  return (
    <form
      className={styles.line}
      aria-label={`Teach by ${name}`}
      onSubmit={(event) => {
        event.preventDefault();
        if (shown !== null) take(readingShown(teaching, shown));
      }}
    >
      <p>
        Place the robot {teaching.taught.placed}
        {isHeading && ', its heading zeroed where the route begins'}.
      </p>
      <div className={styles.ways}>
        <ProgramField
          label={`${name} shows`}
          {...{ unit, decimals }}
          signed={isHeading}
          value={shown}
          onTake={(typed) => {
            setShown(typed);
            return true;
          }}
        />
        <Button type="submit" disabled={shown === null}>
          Take this
        </Button>
        <Button disabled={live.isTaking} onClick={takeLive}>
          {live.isTaking ? 'Reading …' : 'Read it now'}
        </Button>
        <Choice label="Read from" value={from} options={LIVE_OPTIONS} onChange={setSource} />
      </div>
      <p role="status">{said}</p>
      {(wrong ?? live.problem) !== null && (
        <p role="alert" className={styles.problem}>
          {wrong ?? live.problem}{' '}
          {wrong === null && from === 'stand-in' && (
            <a href="/bench">Switch it on, on the Bench.</a>
          )}
        </p>
      )}
    </form>
  );
}

/** All values of a step that can be taken from the robot as it is placed. */
export function TeachLine({ all, onChange }: Props) {
  return all.map((teaching, i) => <TeachOne key={i} {...{ teaching, onChange }} />);
}
