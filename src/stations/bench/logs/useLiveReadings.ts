import { useCallback, useEffect, useRef, useState } from 'react';
import { columnsOfDevices } from '../../../core/devices/columns';
import { isA } from '../../../core/devices/ofRobot';
import type { DeviceKindName } from '../../../core/devices/registry';
import type { Robot } from '../../../core/robot/robot';
import { sentenceOf } from '../../api';
import { listenTo, type LiveSource } from './sources';

/** One look of a sensor: what each of its channels read, in their order; null where nothing came back. */
export type Look = readonly (number | null)[];

/** What a sensor of a robot reads for a while, as its source tells it. */
export function useLiveReadings(robot: Robot, kind: DeviceKindName, label: string) {
  const [isTaking, setTaking] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const stop = useRef<(() => void) | null>(null);
  useEffect(() => () => stop.current?.(), []);
  const columns = columnsOfDevices(robot).filter(({ unit }) => isA(unit, kind));
  const titles = columns.filter(({ unit }) => unit.label === label).map(({ title }) => title);
  const asked = titles.join();
  const take = useCallback(
    async (source: LiveSource, lengthS: number, onLooks: (looks: Look[]) => void) => {
      if (asked === '') {
        setProblem(`“${label}” is not plugged in on this robot: type what it reads.`);
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
              const values = asked.split(',').map((title) => reading[title]);
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
    [label, asked],
  );
  return { take, isTaking, problem };
}
