import { useCallback, useEffect, useRef, useState } from 'react';
import type { Reading } from '../../../formats/readings';
import { sentenceOf } from '../../api';
import { listenTo, type LiveSource } from '../logs/sources';

/** Hands off: so long before the first reading counts. */
export const COUNTDOWN_S = 3;

export type CaptureState =
  | { phase: 'idle' }
  | { phase: 'countdown'; leftS: number }
  | { phase: 'capturing'; doneS: number; readings: Reading[] };

/** A short tone: the coach looks at the robot, not at the screen. */
function beep(hertz: number, seconds: number): void {
  try {
    const audio = new AudioContext();
    const tone = audio.createOscillator();
    tone.frequency.value = hertz;
    tone.connect(audio.destination);
    tone.start();
    tone.stop(audio.currentTime + seconds);
    tone.onended = () => void audio.close();
  } catch {
    // Without sound the countdown on the screen has to do.
  }
}

/**
 * Readings of a live source for a time, after a countdown, by the robot's own clock.
 *
 * @param onDone gets the readings when the time is over
 */
export function useCapture(onDone: (readings: Reading[]) => void) {
  const [state, setState] = useState<CaptureState>({ phase: 'idle' });
  const [problem, setProblem] = useState<string | null>(null);
  const stop = useRef<(() => void) | null>(null);
  const done = useRef(onDone);
  useEffect(() => {
    done.current = onDone;
  });
  const end = useCallback(() => {
    stop.current?.();
    stop.current = null;
    setState({ phase: 'idle' });
  }, []);
  useEffect(() => () => stop.current?.(), []);

  const start = useCallback(
    async (source: LiveSource, lengthS: number) => {
      end();
      setProblem(null);
      setState({ phase: 'countdown', leftS: COUNTDOWN_S });
      beep(440, 0.15);
      let from: number | null = null;
      let counting = true;
      const kept: Reading[] = [];
      const take = (readings: Reading[]) => {
        const [first] = readings;
        const last = readings.at(-1);
        if (first === undefined || last === undefined || !counting) return;
        from ??= first.t_s + COUNTDOWN_S;
        const begin = from;
        if (last.t_s < begin) {
          setState({ phase: 'countdown', leftS: begin - last.t_s });
          return;
        }
        if (kept.length === 0) beep(880, 0.3);
        kept.push(...readings.filter(({ t_s }) => t_s >= begin && t_s <= begin + lengthS));
        if (last.t_s < begin + lengthS) {
          setState({ phase: 'capturing', doneS: last.t_s - begin, readings: kept });
          return;
        }
        counting = false;
        beep(660, 0.5);
        end();
        done.current(kept);
      };
      try {
        stop.current = await listenTo(source, take, (sentence) => {
          end();
          setProblem(`${sentence} Begin the check again.`);
        });
      } catch (error) {
        setState({ phase: 'idle' });
        setProblem(sentenceOf(error));
      }
    },
    [end],
  );
  return { state, start, cancel: end, problem };
}
