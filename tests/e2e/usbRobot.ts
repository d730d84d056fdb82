import type { Page } from '@playwright/test';

/** What a test can do with the robot on USB. */
interface UsbRobot {
  /** How often the browser's list of ports was shown. */
  asked: number;
  /** Nobody chooses it in the list. */
  unchosen: boolean;
  say(text: string): void;
  pull(): void;
}

/**
 * A robot on a USB port, as a browser with Web Serial would show it: there is none on this machine.
 * As with a true port, it cannot be closed while somebody still holds its reader.
 */
export async function plugInRobot(page: Page): Promise<void> {
  await page.addInitScript(() => {
    let cable: ReadableStreamDefaultController<Uint8Array> | null = null;
    const port = {
      readable: null as ReadableStream<Uint8Array> | null,
      open: ({ baudRate }: { baudRate: number }) => {
        if (port.readable !== null || baudRate !== 115_200)
          return Promise.reject(new Error('busy'));
        port.readable = new ReadableStream({
          start: (controller) => {
            cable = controller;
          },
        });
        return Promise.resolve();
      },
      close: () => {
        if (port.readable?.locked === true) return Promise.reject(new Error('still read'));
        port.readable = null;
        return Promise.resolve();
      },
    };
    const robot: UsbRobot = {
      asked: 0,
      unchosen: false,
      say: (text) => cable?.enqueue(new TextEncoder().encode(text)),
      pull: () => cable?.error(new DOMException('The device has been lost.', 'NetworkError')),
    };
    const requestPort = () => {
      robot.asked += 1;
      return robot.unchosen
        ? Promise.reject(new DOMException('No port selected by the user.', 'NotFoundError'))
        : Promise.resolve(port);
    };
    Object.defineProperty(navigator, 'serial', { value: { requestPort } });
    Object.assign(globalThis, { robot });
  });
}

/** Do something with it. */
export const withRobot = <T>(page: Page, work: (robot: UsbRobot) => T): Promise<T> =>
  page.evaluate(`(${work.toString()})(globalThis.robot)`);

/** A line of the open format for each reading, every 20 ms. */
export function said(
  fromS: number,
  toS: number,
  at: (tS: number) => { heading_deg: number; left_deg?: number; right_deg?: number },
): string {
  const first = Math.round(fromS * 50);
  const count = Math.round((toS - fromS) * 50);
  return Array.from({ length: count }, (_, i) => {
    const t = (first + i) / 50;
    return `${JSON.stringify({ t_s: t, ...at(t) })}\n`;
  }).join('');
}

export const say = (page: Page, text: string): Promise<void> =>
  page.evaluate((words) => (globalThis as unknown as { robot: UsbRobot }).robot.say(words), text);
