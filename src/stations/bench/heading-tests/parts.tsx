import type { ReactNode } from 'react';
import { number } from '../../../core/description/description';
import { radiansFromDegrees } from '../../../core/geometry/angle';
import type { Reading } from '../../../formats/readings';
import { Button } from '../../../ui/Button';
import { Notice } from '../../../ui/Notice';
import { ValueField } from '../../../ui/fields/ValueField';
import styles from '../Bench.module.css';
import own from './HeadingTests.module.css';
import type { useReadingNow } from '../logs/useReadingNow';

const SHOWN = number({ label: 'It shows', quantity: 'angle', min: -2000, max: 2000 });

/** An angle that was read, and when, where a log told it. */
export interface Read {
  rad: number;
  tS: number | null;
}

/** As it is typed, or stands in a file. */
export const typedRead = (rad: number): Read => ({ rad, tS: null });

/** The heading of a reading; null where it tells none. */
export const headingOfReading = ({ heading_deg: shown, t_s: tS }: Reading): Read | null =>
  typeof shown === 'number' ? { rad: radiansFromDegrees(shown), tS } : null;

interface AngleProps {
  label: string;
  value: Read | null;
  onChange(value: Read | null): void;
  /** What reads it now, at a press; left out: it is typed. */
  now?: ReturnType<typeof useReadingNow>;
}

/** An angle typed from a small screen, or read now. */
export const Angle = ({ label, value, onChange, now }: AngleProps) => (
  <div className={own.angle}>
    <ValueField
      field={SHOWN}
      label={label}
      value={value?.rad ?? null}
      onChange={(rad) => onChange({ rad, tS: null })}
      onClear={() => onChange(null)}
    />
    {now !== undefined && (
      <Button
        look="bare"
        disabled={now.isTaking}
        aria-label={`${label}: read now`}
        onClick={() => void now.take((reading) => onChange(headingOfReading(reading)))}
      >
        Read now
      </Button>
    )}
  </div>
);

interface TestProps {
  title: string;
  how: string;
  children: ReactNode;
  /** What it says; null: not enough was read yet. */
  result: { sentence: string; isTold: boolean } | null;
  /** What was found before. */
  before: string | null;
}

/** One of the tests: how it is done, what is read, what that says. */
export const Test = ({ title, how, children, result, before }: TestProps) => (
  <section aria-label={title} className={styles.tool}>
    <h2>{title}</h2>
    <p>{how}</p>
    {children}
    {result !== null && (
      <Notice tone={result.isTold ? 'good' : 'careful'}>{result.sentence}</Notice>
    )}
    {result === null && before !== null && <p className="faint">{before}</p>}
  </section>
);
