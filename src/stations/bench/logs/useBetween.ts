import { useEffect, useRef, useState } from 'react';
import { MAX_LOG_SAMPLES } from '../../../formats/benchConstants';
import type { Reading } from '../../../formats/readings';
import { sentenceOf } from '../../api';
import { listenTo, type LiveSource } from './sources';

/** How far a recording has come. */
export interface Recording {
  readings: number;
  lengthS: number;
}

/** How often the screen tells how far it is. */
const TELL_MS = 250;

/**
 * Readings of a live source between "start" and "done". When the source ends by itself, what came
 * until then is handed over all the same, and the reason is said.
 */
export function useBetween(source: LiveSource, onDone: (readings: Reading[]) => void) {
  const [recording, setRecording] = useState<Recording | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const stop = useRef<(() => void) | null>(null);
  const kept = useRef<Reading[]>([]);
  const told = useRef(0);
  const handOver = useRef(onDone);
  useEffect(() => {
    handOver.current = onDone;
  });
  useEffect(() => () => stop.current?.(), []);

  const end = () => {
    stop.current?.();
    stop.current = null;
    setRecording(null);
  };
  const done = () => {
    end();
    handOver.current(kept.current);
  };
  const take = (readings: Reading[]) => {
    for (const reading of readings) kept.current.push(reading);
    if (kept.current.length >= MAX_LOG_SAMPLES) {
      setProblem('The recording is as long as one may be, and ended here.');
      return done();
    }
    if (Date.now() - told.current < TELL_MS) return;
    told.current = Date.now();
    const lengthS = (kept.current.at(-1)?.t_s ?? 0) - (kept.current[0]?.t_s ?? 0);
    setRecording({ readings: kept.current.length, lengthS });
  };
  const start = async () => {
    setProblem(null);
    kept.current = [];
    told.current = 0;
    setRecording({ readings: 0, lengthS: 0 });
    try {
      stop.current = await listenTo(source, take, (sentence) => {
        setProblem(
          kept.current.length > 1 ? `${sentence} What it said until then is here.` : sentence,
        );
        if (kept.current.length > 1) done();
        else end();
      });
    } catch (error) {
      setRecording(null);
      setProblem(sentenceOf(error));
    }
  };
  return { recording, start, done, cancel: end, problem };
}
