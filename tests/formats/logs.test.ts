import { describe, expect, it } from 'vitest';
import { guessColumns, parseLogCsv, previewCsv } from '../../src/formats/logCsv';
import { parseJsonLines } from '../../src/formats/jsonLines';
import { toReading } from '../../src/formats/readings';
import { toLog } from '../../src/formats/toLog';
import { readAnchors, readLaps, readTurnTrials } from '../../src/formats/trialsCsv';
import type { RawConvention } from '../../src/core/rawConvention';
import { deg } from '../core/support';
import { recordedText } from '../support/recorded';

const quiet = () => undefined;
const raw: RawConvention = {
  signs: { heading: 1, leftMotor: 1, rightMotor: 1 },
  encodersRollOver: false,
};
const file = (text: string) => new File([text], 'a.csv');
let made = 0;
const newId = () => `id${(made += 1)}`;

describe('a log in JSON Lines', () => {
  it('is read as the stand-in writes it, in the directions of the record', () => {
    const reading = {
      tS: 0.02,
      headingRad: deg(-3),
      rateRadPerS: 0,
      leftMotorDegrees: 4,
      rightMotorDegrees: -5,
      distanceM: null,
      lightPercent: 60,
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
      '{"t_s":2,"heading_deg":3}',
    ].join('\n');
    const { bad, columns } = parseJsonLines(text, quiet);
    expect(bad.map(({ line }) => line)).toEqual([2, 3, 4]);
    expect(bad[0]?.why).toMatch(/not readable as JSON/);
    expect(bad[1]?.why).toMatch(/t_s: expected number/);
    expect(columns.t_s?.length).toBe(2);
  });

  it('without a heading, or with hardly a line, is refused with a sentence', () => {
    expect(() => toLog(parseJsonLines('{"t_s":0}\n{"t_s":1}', quiet), raw)).toThrow(
      /neither a heading nor a turning rate/,
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
    expect(guessColumns(['t_s', 'heading_deg', 'left_deg', 'right_deg'])).toMatchObject({
      t_s: { column: 0 },
      heading_deg: { column: 1 },
      left_deg: { column: 2 },
      right_deg: { column: 3 },
    });
    const map = guessColumns(['time_ms', 'gyro_rate_rad']);
    expect(map).toMatchObject({ t_s: { column: 0, factor: 0.001 }, rate_deg_per_s: { column: 1 } });
    const table = parseLogCsv('time_ms,gyro_rate_rad\n0,0.1\n20,0.2\n', map, quiet);
    const log = toLog(table, raw);
    expect([...log.tS]).toEqual([0, 0.02]);
    expect(log.columns.rateRadPerS?.[1]).toBeCloseTo(0.2, 9);
  });

  it('of a recorded run keeps all its readings', () => {
    const text = recordedText('run-log.csv');
    const { header } = previewCsv(text);
    const table = parseLogCsv(text, guessColumns(header), quiet);
    expect(table.columns.heading_deg?.length).toBe(3000);
    expect(table.badCount).toBe(0);
  });

  it('tells bad cells with line and column', () => {
    const table = parseLogCsv(
      't_s,heading_deg\n0,1\n1,\n2,abc\n3,4\n',
      guessColumns(['t_s', 'heading_deg']),
      quiet,
    );
    expect(table.bad).toEqual([
      { line: 3, why: 'column 2 (Heading): is empty' },
      { line: 4, why: 'column 2 (Heading): “abc” is no number' },
    ]);
  });
});

describe('trials from a file', () => {
  it('are read as they were recorded', async () => {
    const turns = await readTurnTrials(file(recordedText('turn-trials.csv')), newId);
    expect(turns.records).toHaveLength(24);
    expect(turns.records[0]).toMatchObject({ targetRad: deg(-90), kind: 'spin' });
    const laps = await readLaps(file(recordedText('square-path.csv')), newId);
    expect(laps.records.filter(({ direction }) => direction === 'ccw')).toHaveLength(5);
    const anchors = await readAnchors(file(recordedText('run-log-anchors.csv')));
    expect(anchors.records[1]).toEqual({
      tS: 31.4,
      headingRad: deg(90),
      what: 'squared against the far wall',
    });
  });

  it.each([
    ['', /The file is empty/],
    ['a,b\n1,2\n', /There is no column target_deg in the heading line \(a, b\)/],
    ['target_deg,actual_deg,rate_deg_per_s\nx,1,2\n', /Line 2: target_deg: “x” is no number/],
    ['target_deg,actual_deg,rate_deg_per_s\n90,9000,90\n', /9000 is not between/],
    ['\u0000\u0001', /no text/],
  ])('that is none (%j) is refused with a sentence', async (text, sentence) => {
    await expect(readTurnTrials(file(text), newId)).rejects.toThrow(sentence);
  });

  it('leave out single bad rows, told with their numbers', async () => {
    const { records, bad } = await readLaps(
      file('direction,return_x_mm,return_y_mm,return_heading_deg\ncw,1,2,3\nup,1,2,3\nccw,1,,3\n'),
      newId,
    );
    expect(records).toHaveLength(1);
    expect(bad.map(({ line }) => line).toSorted()).toEqual([3, 4]);
  });
});
