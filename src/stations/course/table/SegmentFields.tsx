import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { SEGMENT } from '../../../core/table/description';
import type { Segment } from '../../../core/table/table';
import { Button } from '../../../ui/Button';
import { F } from './courseForm';
import styles from './TableStation.module.css';

interface Props<S extends Segment> {
  of: 'walls' | 'lines' | 'fields' | 'obstacles' | 'homeAreas';
  title: string;
  note: string;
  one: string;
  segments: readonly S[];
  before?: ReactNode;
  /** Beside the ends of each. */
  more?: (index: number) => ReactNode;
  /** Called when one is added or taken away. */
  onChange(segments: (S | Segment)[]): void;
}

const FIRST: Segment = { x1M: 0.3, y1M: 0.3, x2M: 0.6, y2M: 0.3 };
const FIRST_AREA: Segment = { ...FIRST, y2M: 0.5 };
const AREAS: readonly string[] = ['fields', 'obstacles', 'homeAreas'];

/** Straight pieces on the table by their two ends, or areas by two of their corners. */
export function SegmentFields<S extends Segment>(props: Props<S>) {
  const { of, title, note, one, segments, before, more, onChange } = props;
  return (
    <section aria-label={title}>
      <h2>{title}</h2>
      <p className="faint">{note}</p>
      {before}
      <ol className={styles.segments}>
        {F.useNow().table[of].map((_, index) => (
          <li key={index}>
            {Object.entries(SEGMENT).map(([name, field]) => (
              <F.Value
                key={name}
                name={`table.${of}.${index}.${name as keyof Segment}`}
                field={field}
                label={`${one} ${index + 1} ${field.label}`}
              />
            ))}
            <Button
              look="bare"
              aria-label={`Take ${one.toLowerCase()} ${index + 1} away`}
              onClick={() => onChange(segments.toSpliced(index, 1))}
            >
              <X size={16} aria-hidden />
            </Button>
            {more?.(index)}
          </li>
        ))}
      </ol>
      <Button onClick={() => onChange([...segments, AREAS.includes(of) ? FIRST_AREA : FIRST])}>
        + {one}
      </Button>
    </section>
  );
}
