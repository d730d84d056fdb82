import { describe, expect, it } from 'vitest';
import { channelsIn } from '../../src/core/channels/log';
import { parseLogCsv, previewCsv } from '../../src/formats/csv/logCsv';
import { doubledKey, guessColumns } from '../../src/formats/csv/logColumns';
import { logToCsv } from '../../src/formats/csv/logToCsv';
import { parseJsonLines } from '../../src/formats/jsonLines';
import { toReading } from '../../src/formats/readings';
import { toLog } from '../../src/formats/toLog';
import type { RawConvention } from '../../src/core/channels/rawConvention';
import { deg } from '../core/support';
import { recordedText } from '../support/recorded';

const quiet = () => undefined;
const raw: RawConvention = {
  signs: { heading: 1, leftMotor: 1, rightMotor: 1 },
  encodersRollOver: false,
};
describe('a log in JSON Lines', () => {
  it('is read as the stand-in writes it, in the directions of the record', () => {
    const reading = {
      tS: 0.02,
      headingRad: deg(-3),
      rateRadPerS: 0,
      leftMotorDegrees: 4,
      rightMotorDegrees: -5,
      units: { distance_cm: null, light_percent: 60 },
      touch: false,
      volts: 8.1,
    };
    const lines = [0, 1, 2].map((i) => JSON.stringify(toReading({ ...reading, tS: 0.02 * i })));
    const table = parseJsonLines(lines.join('\n'), quiet);
    expect(table.badCount).toBe(0);
    const log = toLog(table, {
      ...raw,
      signs: { heading: -1, leftMotor: 1, rightMotor: -1 },
    });
    expect(log.columns.headingRad?.[1]).toBeCloseTo(deg(3), 6);
    expect(log.columns.rightMotorDegrees?.[2]).toBe(5);
  });

  it('tells each line that it cannot read, and why, and reads the others', () => {
    const text = [
      '{"t_s":0,"heading_deg":1}',
      'hello',
      '{"heading_deg":2}',
      '{"t_s":1,"heading_deg":"x"}',
      '{"t_s":2,"heading_deg":3,"name":"the robot"}',
    ].join('\n');
    const { bad, tS, columns, leftOut } = parseJsonLines(text, quiet);
    expect(bad.map(({ line }) => line)).toEqual([2, 3, 4]);
    expect(bad[0]?.why).toMatch(/not readable as JSON/);
    expect(bad[1]?.why).toMatch(/t_s: expected a number/);
    expect([...tS]).toEqual([0, 1, 2]);
    expect([...(columns[0]?.values ?? [])]).toEqual([1, Number.NaN, 3]);
    expect(leftOut).toEqual([{ title: 'name', why: 'it is no number' }]);
  });

  it('of nothing but times, or with hardly a line, is refused with a sentence', () => {
    expect(() => toLog(parseJsonLines('{"t_s":0}\n{"t_s":1}', quiet), raw)).toThrow(
      /nothing but times/,
    );
    expect(() => toLog(parseJsonLines('', quiet), raw)).toThrow(/at least two lines/);
  });

  it('of a robot that was started anew in the middle is refused, and says where', () => {
    const text = [0, 1, 2].flatMap((part) =>
      Array.from({ length: 100 }, (_, i) => `{"t_s":${i / 50 + 8 * (1 - part)},"heading_deg":0}`),
    );
    expect(() => toLog(parseJsonLines(text.join('\n'), quiet), raw)).toThrow(
      'The clock goes back from 10.0 s to 0.0 s at reading 101',
    );
  });

  it('counts on where encoders roll over, if the record says that they do', () => {
    const left = [340, 355, 10, 25, 10, 355, 340];
    const text = left
      .map((value, i) => `{"t_s":${i / 50},"heading_deg":0,"left_deg":${value},"right_deg":0}`)
      .join('\n');
    const table = parseJsonLines(text, quiet);
    const log = toLog(table, { ...raw, encodersRollOver: true });
    expect([...(log.columns.leftMotorDegrees ?? [])]).toEqual([340, 355, 370, 385, 370, 355, 340]);
    expect([...(toLog(table, raw).columns.leftMotorDegrees ?? [])]).toEqual(left);
  });

  it('out of order is put in order, and wrapped headings are made continuous', () => {
    const text = [
      [2, -175],
      [0, 170],
      [1, 179],
    ]
      .map(([t, h]) => `{"t_s":${t},"heading_deg":${h}}`)
      .join('\n');
    const log = toLog(parseJsonLines(text, quiet), raw);
    expect([...log.tS]).toEqual([0, 1, 2]);
    expect(log.columns.headingRad?.[2]).toBeCloseTo(deg(185), 9);
  });
});

describe('a log in CSV', () => {
  it('has its columns guessed by their headings, and read in their units', () => {
    const { time, columns } = guessColumns(['t_s', 'heading_deg', 'left_deg', 'right_deg']);
    expect(time).toEqual({ column: 0, factor: 1 });
    expect(columns.map((meaning) => meaning?.key)).toEqual([
      undefined,
      'headingRad',
      'leftMotorDegrees',
      'rightMotorDegrees',
    ]);
    const map = guessColumns(['time_ms', 'gyro_rate_rad']);
    expect(map.time).toEqual({ column: 0, factor: 0.001 });
    const table = parseLogCsv('time_ms,gyro_rate_rad\n0,0.1\n20,0.2\n', map, quiet);
    const log = toLog(table, raw);
    expect([...log.tS]).toEqual([0, 0.02]);
    expect(log.columns.rateRadPerS?.[1]).toBeCloseTo(0.2, 9);
  });

  it('of a recorded run keeps all its readings', () => {
    const text = recordedText('run-log.csv');
    const { header } = previewCsv(text);
    const table = parseLogCsv(text, guessColumns(header), quiet);
    expect(table.columns.map(({ values }) => values.length)).toEqual([3000, 3000, 3000]);
    expect(table.badCount).toBe(0);
  });

  it('tells bad cells with line and column; an empty one is a gap', () => {
    const table = parseLogCsv(
      't_s,heading_deg\n0,1\n1,\n2,abc\n3,4\n,5\n4,None\n',
      guessColumns(['t_s', 'heading_deg']),
      quiet,
    );
    expect(table.bad).toEqual([
      { line: 4, why: 'column 2 (heading_deg): “abc” is no number' },
      { line: 6, why: 'column 1 (time): is empty' },
    ]);
    expect([...table.tS]).toEqual([0, 1, 3, 4]);
    expect([...(table.columns[0]?.values ?? [])]).toEqual([1, Number.NaN, 4, Number.NaN]);
  });

  it('says what it leaves out, and why', () => {
    const map = guessColumns(['t_s', 'heading_deg', 'spare', 'note']);
    const columns = map.columns.map((meaning, i) => (i === 2 ? null : meaning));
    const table = parseLogCsv(
      't_s,heading_deg,spare,note\n0,1,7,\n1,2,8,\n',
      { ...map, columns },
      quiet,
    );
    expect(table.leftOut).toEqual([
      { title: 'spare', why: 'it was not chosen' },
      { title: 'note', why: 'it is empty' },
    ]);
  });

  it('with two columns of one meaning is told, and with two of one title read apart', () => {
    const map = guessColumns(['t_s', 'yaw', 'heading']);
    expect(doubledKey(map)).toBeNull();
    const [, yaw = null] = map.columns;
    expect(doubledKey({ ...map, columns: [null, yaw, yaw] })).toBe('headingRad');
    const twice = parseLogCsv(
      't_s,front_cm,front_cm\n0,1,2\n1,3,4\n',
      guessColumns(['t_s', 'front_cm', 'front_cm']),
      quiet,
    );
    expect(twice.columns.map(({ values }) => [...values])).toEqual([
      [1, 3],
      [2, 4],
    ]);
    expect(new Set(twice.columns.map(({ key }) => key)).size).toBe(2);
  });
});

describe('a log of many channels', () => {
  const read = (text: string, convention = raw) =>
    toLog(parseLogCsv(text, guessColumns(previewCsv(text).header), quiet), convention);
  const gaps = (values: Float64Array | undefined) => values?.filter(Number.isNaN).length;

  it('keeps two distance sensors, light, touch, volts and step, with their gaps', () => {
    const log = read(recordedText('run-many-channels.csv'));
    expect(log.tS).toHaveLength(1000);
    const { columns } = log;
    // As many gaps as were made.
    expect(gaps(columns['distanceM:front'])).toBe(65);
    expect(gaps(columns['distanceM:side'])).toBe(27);
    expect(gaps(columns['light:light'])).toBe(666);
    for (const key of ['headingRad', 'leftMotorDegrees', 'touch:bumper', 'volts', 'step']) {
      expect(gaps(columns[key]), key).toBe(0);
    }
    expect(columns['distanceM:side']?.[0]).toBeCloseTo(0.299, 9);
    expect(columns['light:light']?.[0]).toBeCloseTo(0.65, 9);
    expect(columns.volts?.[1]).toBeCloseTo(7.85, 9);
  });

  it.each(['run-many-channels.csv', 'run-encoders-only.csv', 'run-log.csv'])(
    'comes out as it went in: %s',
    (name) => {
      // The raw directions of the record are turned round on the way in, and back on the way out.
      const convention: RawConvention = {
        signs: { heading: -1, leftMotor: 1, rightMotor: -1 },
        encodersRollOver: false,
      };
      const log = read(recordedText(name), convention);
      const out = logToCsv(log, convention);
      const again = read(out, convention);
      expect(Object.keys(again.columns)).toEqual(Object.keys(log.columns));
      expect(again.tS).toEqual(log.tS);
      for (const [key, values] of channelsIn(log.columns)) {
        const back = again.columns[key];
        values.forEach((value, i) => {
          if (Number.isNaN(value)) expect(back?.[i], key).toBeNaN();
          else expect(back?.[i], key).toBeCloseTo(value, 6);
        });
      }
      // Written once more it is the same file.
      expect(logToCsv(again, convention)).toBe(out);
    },
  );

  it('keeps a sensor that never saw anything, as one that saw nothing', () => {
    const lines = [0, 1, 2].map((t) => `{"t_s":${t},"heading_deg":${t},"front_cm":null}`);
    const { columns } = toLog(parseJsonLines(lines.join('\n'), quiet), raw);
    expect([...(columns['distanceM:front'] ?? [])]).toEqual([Number.NaN, Number.NaN, Number.NaN]);
  });

  it('of light alone is a log, and so is one without a heading', () => {
    expect(read('t_s,light_percent\n0,60\n1,61\n').columns['light:light']).toHaveLength(2);
    const { columns } = read(recordedText('run-encoders-only.csv'));
    expect(Object.keys(columns)).toEqual(['leftMotorDegrees', 'rightMotorDegrees']);
    const ratio =
      (columns.rightMotorDegrees?.at(-1) ?? 0) / (columns.leftMotorDegrees?.at(-1) ?? 1);
    expect(ratio).toBeCloseTo(0.99598, 3);
  });

  it('with numbers that no such sensor gives is refused, and says which column', () => {
    expect(() => read('t_s,front_m\n0,300\n1,310\n')).toThrow(/^front_m holds numbers.*“Distance”/);
  });

  it('is told by a robot under names of its own', () => {
    const lines = [0, 1, 2].map((i) =>
      JSON.stringify({
        t_s: i / 10,
        side_mm: i === 1 ? null : 120 + i,
        claw_deg: 5 * i,
        touched: i > 1,
      }),
    );
    const { columns } = toLog(parseJsonLines(lines.join('\n'), quiet), raw);
    expect([...(columns['distanceM:side'] ?? [])]).toEqual([0.12, Number.NaN, 0.122]);
    expect([...(columns['attachmentDegrees:claw'] ?? [])]).toEqual([0, 5, 10]);
    expect([...(columns['touch:touched'] ?? [])]).toEqual([0, 0, 1]);
  });
});
