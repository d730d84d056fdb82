import { useCallback, useEffect, useRef, useState } from 'react';
import { isA } from '../../../core/devices/ofRobot';
import { columnsOfDevices } from '../../../core/devices/columns';
import { mean } from '../../../core/stats/moments';
import type { Robot } from '../../../core/robot/robot';
import { sentenceOf } from '../../api';
import { listenTo, type LiveSource } from '../logs/sources';

/** A reading is the mean of so long, s. */
const LENGTH_S = 1;
const CM = 100;

/**
 * Take what a distance sensor reads now: the mean of a second of what its source tells; null where it heard no
 * echo in most of it.
 */
export function useLiveReading(robot: Robot, label: string) {
  const [isTaking, setTaking] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const stop = useRef<(() => void) | null>(null);
  useEffect(() => () => stop.current?.(), []);
  const columns = columnsOfDevices(robot).filter(({ unit }) => isA(unit, 'distance sensor'));
  const title = columns.find(({ unit }) => unit.label === label)?.title;
  const take = useCallback(
    async (source: LiveSource, onReading: (readingM: number | null) => void) => {
      if (title === undefined) {
        setProblem(`“${label}” is not plugged in on this robot: type what it reads.`);
        return;
      }
      setProblem(null);
      setTaking(true);
      let fromS: number | null = null;
      const heard: number[] = [];
      let all = 0;
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
              if (reading.t_s > fromS + LENGTH_S) {
                end();
                onReading(2 * heard.length >= all && all > 0 ? mean(heard) / CM : null);
                return;
              }
              if (!(title in reading)) continue;
              all += 1;
              const value = reading[title];
              if (typeof value === 'number') heard.push(value);
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
    [label, title],
  );
  return { take, isTaking, problem };
}
