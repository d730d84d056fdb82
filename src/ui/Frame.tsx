import type { ReactNode } from 'react';
import styles from './Frame.module.css';

interface Props {
  title: string;
  /** What the chart says, above it. */
  sentence: string;
  legend: string;
  children: ReactNode;
}

/** A chart with its title, the sentence that it shows, and what its marks mean. */
export function Frame({ title, sentence, legend, children }: Props) {
  return (
    <figure className={styles.frame}>
      <figcaption>
        <h2>{title}</h2>
        <p>{sentence}</p>
      </figcaption>
      <div className={styles.plot}>{children}</div>
      <small className="faint">{legend}</small>
    </figure>
  );
}
