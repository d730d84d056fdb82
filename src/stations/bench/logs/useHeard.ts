import { useCallback, useEffect, useRef, useState } from 'react';
import { sentenceOf } from '../../api';
import { listenTo, type LiveSource } from './sources';

/** One look of a sensor: what each of its channels read, in their order; null where nothing came back. */
export type Look = readonly (number | null)[];

/**
 * What a source tells for a while under some titles.
 *
 * @param titles joined by commas; none: nothing can be read, and `lacks` says why
 */
export function useHeard(titles: string, lacks: string) {
  const [isTaking, setTaking] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const stop = useRef<(() => void) | null>(null);
  useEffect(() => () => stop.current?.(), []);
  const take = useCallback(
    async (source: LiveSource, lengthS: number, onLooks: (looks: Look[]) => void) => {
      if (titles === '') {
        setProblem(lacks);
        return;
      }
      setProblem(null);
      setTaking(true);
      let fromS: number | null = null;
      const heard: Look[] = [];
      const end = () => {
        stop.current?.();
        stop.current = null;
        setTaking(false);
      };
      try {
        stop.current = await listenTo(
          source,
          (readings) => {
            for (const reading of readings) {
              fromS ??= reading.t_s;
              if (reading.t_s > fromS + lengthS) {
                end();
                onLooks(heard);
                return;
              }
              const values = titles.split(',').map((title) => reading[title]);
              if (values.every((value) => value === undefined)) continue;
              heard.push(values.map((value) => (typeof value === 'number' ? value : null)));
            }
          },
          (sentence) => {
            end();
            setProblem(sentence);
          },
        );
      } catch (error) {
        setTaking(false);
        setProblem(sentenceOf(error));
      }
    },
    [titles, lacks],
  );
  return { take, isTaking, problem };
}
