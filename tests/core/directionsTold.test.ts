import { describe, expect, it } from 'vitest';
import { directionsTold } from '../../src/core/directions/directionsTold';
import { recordErrors } from '../../src/core/directions/directionCheck';
import { switchErrors, withSwitches } from '../../src/core/devices/switches';
import { deviceSchema } from '../../src/core/devices/device';

describe('directions without a log', () => {
  it('are told by what each number did', () => {
    expect(directionsTold('turn-left', { heading: 'fell' })).toMatchObject({
      ok: true,
      signs: { heading: -1 },
      sentence: 'Turning left: the heading shrinks.',
    });
    const rolled = directionsTold('roll-forward', { leftMotor: 'grew', rightMotor: 'fell' });
    expect(rolled).toMatchObject({ ok: true, signs: { leftMotor: 1, rightMotor: -1 } });
    const record = {
      signs: { heading: 1, leftMotor: 1, rightMotor: 1 },
      encodersRollOver: true,
    } as const;
    expect(
      recordErrors(record, { ...rolled?.signs, rollsOver: rolled?.rollsOver ?? null }),
    ).toEqual(['the right motor the wrong way round']);
  });

  it('wait for both motors, and ask where one stayed', () => {
    expect(directionsTold('roll-forward', { leftMotor: 'grew' })).toBeNull();
    const stayed = directionsTold('roll-forward', { leftMotor: 'grew', rightMotor: 'stayed' });
    expect(stayed).toMatchObject({ ok: false, signs: {} });
    expect(stayed?.sentence).toMatch(/^The right motor’s angle did not change: is it plugged in/);
  });

  it('want a heading that stays when the robot is tilted', () => {
    expect(directionsTold('tilt', { heading: 'stayed' })?.ok).toBe(true);
    expect(directionsTold('tilt', { heading: 'grew' })).toMatchObject({ ok: false, signs: {} });
  });
});

describe('switches', () => {
  const bumper = deviceSchema.parse({ kind: 'touch sensor', id: 't1', label: 'front bumper' });
  const robot = { units: [bumper] };

  it('that read false while pressed are found, and put right in the record', () => {
    expect(switchErrors(robot, {})).toEqual([]);
    expect(switchErrors(robot, { t1: true })).toEqual([]);
    expect(switchErrors(robot, { t1: false })).toEqual([
      'the switch front bumper the wrong way round',
    ]);
    const mended = { units: withSwitches(robot.units, { t1: false }) };
    expect(switchErrors(mended, { t1: false })).toEqual([]);
    expect(switchErrors(mended, { t1: true })).toHaveLength(1);
  });
});
