import type { ReactNode } from 'react';
import styles from './Frame.module.css';

interface Props {
  title: string;
  /** What the chart says, above it; left out where it is to be seen. */
  sentence?: string;
  /** Entries are parted by three spaces. */
  legend?: string;
  /** Both axes in the same unit. */
  square?: boolean;
  children: ReactNode;
}

/** A chart with its title, the sentence that it shows, and what its marks mean. */
export function Frame({ title, sentence, legend, square = false, children }: Props) {
  return (
    <figure className={styles.frame}>
      <figcaption>
        <h2>{title}</h2>
        {sentence !== undefined && <p>{sentence}</p>}
      </figcaption>
      <div className={square ? styles.square : styles.plot}>{children}</div>
      {legend !== undefined && <small className={styles.legend}>{legend}</small>}
    </figure>
  );
}
