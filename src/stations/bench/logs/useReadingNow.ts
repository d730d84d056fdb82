import { useEffect, useRef, useState } from 'react';
import type { Reading } from '../../../formats/readings';
import { sentenceOf } from '../../api';
import { listenTo, type LiveSource } from './sources';

/** The next reading of a live source, at a press. */
export function useReadingNow(source: LiveSource) {
  const [problem, setProblem] = useState<string | null>(null);
  const [isTaking, setTaking] = useState(false);
  const stop = useRef<(() => void) | null>(null);
  useEffect(() => () => stop.current?.(), []);
  const end = () => {
    stop.current?.();
    stop.current = null;
    setTaking(false);
  };
  const take = async (onReading: (reading: Reading) => void) => {
    setProblem(null);
    setTaking(true);
    try {
      stop.current = await listenTo(
        source,
        (readings) => {
          const newest = readings.at(-1);
          if (newest === undefined || stop.current === null) return;
          end();
          onReading(newest);
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
  };
  return { take, isTaking, problem };
}
