import { plainReading, READING_NUMBERS, toReading, type Reading } from '../../formats/readings';
import type { RawSigns } from '../../core/robot';
import { toLog, type Log } from '../../formats/toLog';
import { listenToStandIn } from './standIn/standInStore';

/** Where readings come from while they are made. */
export type LiveSource = 'stand-in' | 'serial';

/** A log from readings that were collected one by one. */
export function logOf(readings: readonly Reading[], signs: RawSigns): Log {
  const columns = Object.fromEntries(
    READING_NUMBERS.map((name) => [
      name,
      Float64Array.from(readings, (reading) => reading[name] ?? Number.NaN),
    ]),
  );
  return toLog({ columns }, signs);
}

export const hasSerial = (): boolean => typeof navigator !== 'undefined' && 'serial' in navigator;

interface SerialPort {
  open(options: { baudRate: number }): Promise<void>;
  close(): Promise<void>;
  readable: ReadableStream<Uint8Array> | null;
}

const BAUD_RATE = 115_200;

/** Read a robot on USB that prints one JSON object a line. */
async function listenToSerial(onReadings: (readings: Reading[]) => void): Promise<() => void> {
  const serial = (navigator as unknown as { serial: { requestPort(): Promise<SerialPort> } })
    .serial;
  const port = await serial.requestPort();
  await port.open({ baudRate: BAUD_RATE });
  const reader = port.readable?.getReader();
  const decoder = new TextDecoder();
  let rest = '';
  const read = async () => {
    for (let part = await reader?.read(); part?.done === false; part = await reader?.read()) {
      const lines = (rest + decoder.decode(part.value, { stream: true })).split('\n');
      rest = lines.pop() ?? '';
      onReadings(
        // What a robot prints besides its readings is not for us.
        lines.flatMap((line): Reading[] => {
          const reading = plainReading(line);
          return reading === null ? [] : [reading];
        }),
      );
    }
  };
  void read();
  return () => {
    void reader?.cancel().then(() => port.close());
  };
}

/** Every reading of a live source from now on, until the returned function is called. */
export async function listenTo(
  source: LiveSource,
  onReadings: (readings: Reading[]) => void,
): Promise<() => void> {
  return source === 'serial'
    ? listenToSerial(onReadings)
    : listenToStandIn((raw) => onReadings(raw.map(toReading)));
}
