import { describe, expect, it } from 'vitest';
import { GAUGE_TRIAL } from '../../src/core/trials/gauge';
import { PLACING_TRIAL } from '../../src/core/trials/placing';
import { SPEED_TRIAL } from '../../src/core/trials/speed';
import { SQUARING_TRIAL } from '../../src/core/trials/squaring';
import { readTrials } from '../../src/formats/csv/trialFile';
import { recordedText } from '../support/recorded';
import { deg } from '../core/support';

const file = (text: string, name = 'trials.csv') => new File([text], name, { type: 'text/csv' });
let n = 0;
const newId = () => `id ${(n += 1)}`;

describe('timed drives from a file', () => {
  it('are read in SI, those that stood too', async () => {
    const { records, bad } = await readTrials(
      SPEED_TRIAL,
      file('power_percent,battery_V,distance_mm,time_s\n15,7.14,118,2.0\n4,7.9,0,3\n'),
      newId,
    );
    expect(bad).toEqual([]);
    expect(records).toMatchObject([
      { command: 0.15, batteryV: 7.14, distanceM: 0.118, timeS: 2, setAsideReason: null },
      { command: 0.04, batteryV: 7.9, distanceM: 0, timeS: 3 },
    ]);
    expect(new Set(records.map(({ id }) => id)).size).toBe(2);
  });

  it('tell the line and the column of what cannot be, and take the rest', async () => {
    const { records, bad } = await readTrials(
      SPEED_TRIAL,
      file(
        'power_percent,battery_V,distance_mm,time_s\n0,8,100,2\n30,eight,100,2\n30,8,100,2\n130,8,100,2\n30,8,,2\n',
      ),
      newId,
    );
    expect(records).toHaveLength(1);
    expect(bad.map(({ line }) => line)).toEqual([2, 3, 5, 6]);
    expect(bad[0]?.why).toMatch(/power_percent/);
    expect(bad[1]?.why).toMatch(/battery_V.*eight/);
    expect(bad[3]?.why).toMatch(/distance_mm/);
  });

  it('without a column say which is missing', async () => {
    await expect(
      readTrials(SPEED_TRIAL, file('power_percent,distance_mm\n30,100\n'), newId),
    ).rejects.toThrow(/battery_V/);
  });
});

describe('presses against a wall from a file', () => {
  it('are read in shares and radians, as many as were recorded', async () => {
    const { records, bad } = await readTrials(
      SQUARING_TRIAL,
      file(recordedText('wall-squaring.csv')),
      newId,
    );
    expect(bad).toEqual([]);
    expect(records).toHaveLength(27);
    expect(records[0]?.power).toBeCloseTo(0.2, 12);
    expect(records[0]?.beforeRad).toBeCloseTo(deg(5.3), 12);
    expect(records[0]?.afterRad).toBeCloseTo(deg(3.3), 12);
  });

  it('that were off by more than a right angle are none', async () => {
    const { records, bad } = await readTrials(
      SQUARING_TRIAL,
      file('power_percent,time_s,before_deg,after_deg\n30,1,95,2\n30,1,-5,2\n'),
      newId,
    );
    expect(records).toHaveLength(1);
    expect(bad).toMatchObject([{ line: 2 }]);
  });
});

describe('readings of several persons from a file', () => {
  it('keep what was read and by whom, in metres', async () => {
    const { records } = await readTrials(GAUGE_TRIAL, file(recordedText('tape-gauge.csv')), newId);
    expect(records).toHaveLength(54);
    expect(records[0]).toMatchObject({ part: '1', person: 'A' });
    expect(records[0]?.valueM).toBeCloseTo(0.1212, 9);
  });

  it('with decimal commas and semicolons are read as well', async () => {
    const { records, bad } = await readTrials(
      GAUGE_TRIAL,
      file('part;person;reading_cm\nbox to wall;Moss;12,3\n'),
      newId,
    );
    expect(bad).toEqual([]);
    expect(records[0]).toMatchObject({ part: 'box to wall', person: 'Moss' });
    expect(records[0]?.valueM).toBeCloseTo(0.123, 9);
  });
});

describe('placings from a file', () => {
  it('keep whose hands they were, and whether a jig helped', async () => {
    const { records, bad } = await readTrials(
      PLACING_TRIAL,
      file(
        'person,way,nose_along_mm,nose_across_mm,tail_across_mm\nMoss,jig,112,1,-2\nMoss,by hand,115,,3\nIda,hand,9,-4,0\nIda,shelf,9,-4,0\n',
      ),
      newId,
    );
    expect(records).toMatchObject([
      { person: 'Moss', way: 'in the jig', noseAlongM: 0.112, tailAcrossM: -0.002 },
      { person: 'Ida', way: 'by hand', noseAcrossM: -0.004 },
    ]);
    expect(bad).toMatchObject([{ line: 3 }, { line: 5 }]);
  });
});
