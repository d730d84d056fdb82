import { useDeferredValue, useMemo, useState } from 'react';
import { rulesBy } from '../../../core/colourClasses/colourClasses';
import type { ColourStudy } from '../../../core/colourClasses/colourStudy';
import { readAnew } from '../../../core/colourClasses/readAnew';
import { readAnewSentences } from '../../../core/colourClasses/readAnewWords';
import { number } from '../../../core/description/description';
import { CROSSING } from '../../../core/light/description';
import { roundLength } from '../../../core/text/lengths';
import { ValueField } from '../../../ui/fields/ValueField';
import styles from '../Bench.module.css';

const READ_S = number({
  label: 'One reading takes',
  hint: 'empty: not known',
  quantity: 'short time',
  min: 0.00001,
  max: 1,
});

/** What it costs to read the sensor anew for each question, and what to write instead. */
export function ReadOnce({ study }: { study: ColourStudy }) {
  const { samples, scale, found } = useDeferredValue(study);
  const anew = useMemo(
    () => readAnew(samples, rulesBy(samples, found.representation, scale), scale),
    [samples, scale, found],
  );
  const [readS, setReadS] = useState<number | null>(null);
  const [speedMPerS, setSpeed] = useState(() => roundLength(0.2));
  if (anew === null) return null;
  return (
    <section aria-label="Read once">
      <h2>Read once</h2>
      {readAnewSentences(anew, readS, speedMPerS).map((sentence) => (
        <p key={sentence}>{sentence}</p>
      ))}
      <p>
        Write instead: <code>seen = what the sensor reads</code>, once a round; then ask{' '}
        <code>seen</code> every question.
      </p>
      <div className={styles.fields}>
        <ValueField
          field={READ_S}
          value={readS}
          onChange={setReadS}
          onClear={() => setReadS(null)}
        />
        <ValueField field={CROSSING.speedMPerS} value={speedMPerS} onChange={setSpeed} />
      </div>
    </section>
  );
}
