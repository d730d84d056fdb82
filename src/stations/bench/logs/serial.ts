import { plainReading, type Reading } from '../../../formats/readings';

interface SerialPort {
  open(options: { baudRate: number }): Promise<void>;
  close(): Promise<void>;
  readable: ReadableStream<Uint8Array> | null;
}

export const hasSerial = (): boolean => typeof navigator !== 'undefined' && 'serial' in navigator;

const BAUD_RATE = 115_200;
/** A robot that says nothing readable for so long is told about. */
const SILENCE_MS = 5000;
/** What goes on without an end of line is no reading. */
const LONGEST_LINE = 4000;
/** A clock that goes back by more was started anew. */
const FARTHEST_BACK_S = 1;

const SILENT =
  'Nothing readable came from the robot for 5 s. It should print one JSON object a line, such as {"t_s": 0.02, "heading_deg": 0.1}, at 115200 baud.';
const GONE = 'The robot is gone: its cable was pulled out, or it was switched off.';
const RESTARTED = 'The robot’s clock began anew: its program was started again in the middle.';

/** The port that was chosen on this page: nobody has to choose it twice. */
let chosen: SerialPort | null = null;

async function openPort(): Promise<SerialPort> {
  const { serial } = navigator as unknown as { serial: { requestPort(): Promise<SerialPort> } };
  if (chosen === null) {
    try {
      chosen = await serial.requestPort();
    } catch {
      throw new Error(
        'No robot was chosen: press start again and choose it in the browser’s list.',
      );
    }
  }
  const port = chosen;
  try {
    await port.open({ baudRate: BAUD_RATE });
  } catch {
    chosen = null;
    throw new Error(
      'The robot’s port cannot be opened: plug the robot in, close any other program or tab that reads it, and press start again.',
    );
  }
  return port;
}

/** Cuts what comes in pieces into lines. */
function lineCutter(): (part: Uint8Array) => string[] {
  const decoder = new TextDecoder();
  let rest = '';
  return (part) => {
    const lines = (rest + decoder.decode(part, { stream: true })).split('\n');
    rest = (lines.pop() ?? '').slice(-LONGEST_LINE);
    return lines;
  };
}

interface Listener {
  onReadings(readings: Reading[]): void;
  onEnd(sentence: string): void;
}

/** Everybody who listens to the robot on USB: the port is opened for the first, and closed after the last. */
const listeners = new Set<Listener>();
let closePort: Promise<() => void> | null = null;

/** Whether somebody reads the robot on USB already: then nobody has to choose it. */
export const isSerialOpen = (): boolean => closePort !== null;

/**
 * Read a robot on USB that prints one JSON object a line; what else it prints is passed over.
 *
 * @param onEnd told in a sentence when it ends by itself: pulled out, silent, or started anew
 * @returns ends it
 * @throws Error with a sentence when no port was chosen or it cannot be opened
 */
export async function listenToSerial(
  onReadings: (readings: Reading[]) => void,
  onEnd: (sentence: string) => void,
): Promise<() => void> {
  const listener: Listener = { onReadings, onEnd };
  listeners.add(listener);
  closePort ??= readPort(
    (readings) => listeners.forEach((one) => one.onReadings(readings)),
    (sentence) => {
      const told = [...listeners];
      listeners.clear();
      closePort = null;
      for (const one of told) one.onEnd(sentence);
    },
  );
  const opening = closePort;
  try {
    await opening;
  } catch (error) {
    listeners.delete(listener);
    closePort = null;
    throw error;
  }
  return () => {
    if (!listeners.delete(listener) || listeners.size > 0) return;
    closePort = null;
    void opening.then((close) => close());
  };
}

/** Open the port and read it until it ends, or the returned function is called. */
async function readPort(
  onReadings: (readings: Reading[]) => void,
  onEnd: (sentence: string) => void,
): Promise<() => void> {
  const port = await openPort();
  const reader = port.readable?.getReader();
  const linesOf = lineCutter();
  let lastS = -Infinity;
  let isOver = false;
  let silence: ReturnType<typeof setTimeout> | undefined;
  const end = () => {
    isOver = true;
    clearTimeout(silence);
    void reader
      ?.cancel()
      .catch(() => undefined)
      .then(() => {
        reader.releaseLock();
        return port.close();
      })
      // A port that was pulled out is closed already.
      .catch(() => undefined);
  };
  const endWith = (sentence: string) => {
    if (isOver) return;
    end();
    onEnd(sentence);
  };
  const listen = () => {
    clearTimeout(silence);
    silence = setTimeout(() => endWith(SILENT), SILENCE_MS);
  };
  const take = (part: Uint8Array) => {
    const readings = linesOf(part).flatMap((line): Reading[] => {
      const reading = plainReading(line);
      return reading === null ? [] : [reading];
    });
    const [first] = readings;
    if (first === undefined) return;
    if (first.t_s < lastS - FARTHEST_BACK_S) return endWith(RESTARTED);
    lastS = readings.at(-1)?.t_s ?? lastS;
    listen();
    onReadings(readings);
  };
  const read = async () => {
    try {
      for (let part = await reader?.read(); part?.done === false; part = await reader?.read()) {
        take(part.value);
      }
    } catch {
      chosen = null;
    }
    endWith(GONE);
  };
  listen();
  void read();
  return end;
}
