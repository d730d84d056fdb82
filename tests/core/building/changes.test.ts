import { expect, it } from 'vitest';
import { sheetChanges } from '../../../src/core/building/changes';
import { buildingSheet } from '../../../src/core/building/sheet';
import { displaySettings, setDisplaySettings } from '../../../src/core/text/displaySettings';
import { routeOf } from '../support';
import { ROBOTS, start, table } from './routes';

const [robot] = Object.values(ROBOTS);
const sheetOf = (steps: object[], of = robot) => {
  if (of === undefined) throw new Error('no robot');
  return buildingSheet(routeOf(steps, start), of, table);
};
const a = { id: 'a', kind: 'straight', distanceM: 0.4 };
const b = { id: 'b', kind: 'turn', angleRad: 1 };

it('what was typed is compared number by number: no change says nothing', () => {
  expect(sheetChanges(sheetOf([a, b]), sheetOf([a, b]))).toEqual([]);
  expect(sheetChanges(sheetOf([a]), sheetOf([{ ...a, distanceM: 0.5 }]))).toEqual([
    expect.stringMatching(/^Step 1: DISTANCE is 1023, before 819; LIMIT is /),
  ]);
  expect(sheetChanges(sheetOf([a]), sheetOf([a, b]))).toEqual([
    expect.stringMatching(/^Step 2 is new: turn left to a heading\.$/),
    'The block “turn left to a heading” is new.',
  ]);
  // One that is put in between moves the others on, and is all that is new.
  expect(sheetChanges(sheetOf([b, a]), sheetOf([b, { id: 'c', kind: 'wait' }, a]))).toEqual([
    'Step 2 is new: stand still.',
    'The block “stand still” is new.',
  ]);
  expect(sheetChanges(sheetOf([a, b]), sheetOf([a]))).toEqual([
    'Step 2 is gone: turn left to a heading.',
  ]);
});

it('another decimal sign is no change of the program', () => {
  const typed = sheetOf([a, b]);
  const said = displaySettings();
  setDisplaySettings({ ...said, decimalSign: ',' });
  try {
    const now = sheetOf([a, b]);
    expect(now.program.join()).not.toBe(typed.program.join());
    expect(sheetChanges(typed, now)).toEqual([]);
    expect(sheetChanges(typed, sheetOf([a, { ...b, angleRad: 1.1 }]))).toEqual([
      expect.stringMatching(/ is -?\d+(,\d+)?, before -?\d+(,\d+)?/),
    ]);
  } finally {
    setDisplaySettings(said);
  }
});

it('a cable in another port, and another sign, are changes, too', () => {
  if (robot === undefined) throw new Error('no robot');
  const units = robot.units.map((unit) => (unit.label === 'ML' ? { ...unit, port: 'K' } : unit));
  expect(sheetChanges(sheetOf([a]), sheetOf([a], { ...robot, units }))).toEqual([
    'ML is on port K, before on A.',
  ]);
  const signs = { ...robot.signs, leftMotor: 1 as const };
  expect(sheetChanges(sheetOf([a]), sheetOf([a], { ...robot, signs }))).toEqual([
    'The lines of the block “drive straight, the heading held” have changed.',
  ]);
});
