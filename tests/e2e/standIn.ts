import type { Page } from '@playwright/test';
import { ulid } from 'ulid';
import type { StandInAction } from '../../src/core/standIn/act';
import type { StandInReport } from '../../src/server/stores/standIns';
import { recordedText } from '../support/recorded';
import { expect } from './corvat';

/** The demo's second robot: its raw readings grow in Corvat's directions, as those of the files do. */
export const WREN = '01DEMB00000000000000000002';
export const PIPIT = '01DEMB00000000000000000001';

/** A recorded file, to be given to an input. */
export const data = (name: string) => ({
  name,
  mimeType: 'text/csv',
  buffer: Buffer.from(recordedText(name)),
});

/** Do something with the stand-in behind the scenes: its clock is stepped by the test. */
export async function act(page: Page, ...actions: StandInAction[]): Promise<StandInReport> {
  let report: StandInReport | undefined;
  for (const action of actions) {
    const answer = await page.request.post('/api/stand-in', {
      data: { id: ulid(), action },
      // A connection that was kept open may be closed just as it is used again; the same act sent twice is one.
      maxRetries: 2,
    });
    expect(answer.ok(), JSON.stringify(action)).toBe(true);
    report = (await answer.json()) as StandInReport;
  }
  if (report === undefined) throw new Error('nothing was done');
  return report;
}

/**
 * Let the stand-in's time pass in steps, so that the screen sees its readings: after it has heard whatever was pressed
 * before.
 */
export async function pass(page: Page, seconds: number): Promise<void> {
  await page.waitForFunction(() => !window.askedOfStandIn);
  const { view } = await act(page, { do: 'advance', durationS: seconds });
  await page.waitForFunction((nowS) => (window.standInSeenS ?? -1) >= nowS, view.nowS);
  // What the answer changes is drawn in the next frame.
  await page.evaluate(
    () => new Promise((drawn) => requestAnimationFrame(() => requestAnimationFrame(drawn))),
  );
}
