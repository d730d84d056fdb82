import { describe, expect, it } from 'vitest';
import { ANCHOR } from '../../src/core/trials/anchor';
import { LAP_TRIAL } from '../../src/core/trials/lap';
import { STRAIGHT_TRIAL } from '../../src/core/trials/straight';
import { readTrials } from '../../src/formats/csv/trialFile';
import { readTurnTrials } from '../../src/formats/csv/turnsCsv';
import { pipit } from '../../src/server/demo/scenario';
import { deg } from '../core/support';
import { recordedText } from '../support/recorded';

const file = (text: string) => new File([text], 'a.csv');
let made = 0;
const newId = () => `id${(made += 1)}`;

describe('trials from a file', () => {
  it('are read as they were recorded', async () => {
    const turns = await readTurnTrials(file(recordedText('turn-trials.csv')), newId, pipit);
    expect(turns.records).toHaveLength(24);
    expect(turns.records[0]).toMatchObject({ targetRad: deg(-90), kind: 'spin' });
    expect(turns.records[0]?.readingRad).toBeNull();
    const read = 'target_deg,actual_deg,rate_deg_per_s,reading_deg\n-90,-91,90,-92.5\n';
    const { records } = await readTurnTrials(file(read), newId, pipit);
    expect(records[0]?.readingRad).toBeCloseTo(deg(-92.5), 9);
    const laps = await readTrials(LAP_TRIAL, file(recordedText('square-path.csv')), newId);
    expect(laps.records.filter(({ direction }) => direction === 'ccw')).toHaveLength(5);
    const anchors = await readTrials(ANCHOR, file(recordedText('run-log-anchors.csv')), newId);
    expect(anchors.records[1]).toMatchObject({
      tS: 31.4,
      headingRad: deg(90),
      what: 'squared against the far wall',
    });
  });

  it('of straight drives say what was measured besides, and by what they were kept', async () => {
    const recorded = await readTrials(
      STRAIGHT_TRIAL,
      file(recordedText('straight-trials.csv')),
      newId,
    );
    expect(recorded.records[0]).toMatchObject({ headingChangeRad: null, keptBy: null });
    const { records, bad } = await readTrials(
      STRAIGHT_TRIAL,
      file(
        'commanded_mm,actual_mm,turned_deg,kept_by,speed_mm_per_s\n-500,-490,1.5,nothing,300\n500,490,,luck,300\n',
      ),
      newId,
    );
    expect(records).toMatchObject([
      { commandedM: -0.5, sidewaysM: null, headingChangeRad: deg(1.5), keptBy: 'nothing' },
    ]);
    expect(bad).toEqual([
      { line: 3, why: 'kept_by: “luck” is none of heading, encoders, nothing' },
    ]);
  });

  it.each([
    ['', /The file is empty/],
    ['a,b\n1,2\n', /There is no column target_deg in the heading line \(a, b\)/],
    ['target_deg,actual_deg,rate_deg_per_s\nx,1,2\n', /Line 2: target_deg: “x” is no number/],
    ['target_deg,actual_deg,rate_deg_per_s\n90,9000,90\n', /9000 is not between/],
    ['\u0000\u0001', /not a text file/],
  ])('that is none (%j) is refused with a sentence', async (text, sentence) => {
    await expect(readTurnTrials(file(text), newId, pipit)).rejects.toThrow(sentence);
  });

  it('say how fast it turned as the program told its motors, where that was timed', async () => {
    const drives = [
      { percent: 20, distanceM: 0.5, durationS: 5 },
      { percent: 60, distanceM: 1.5, durationS: 5 },
    ];
    const robot = { ...pipit, program: { ...pipit.program, speeds: drives } };
    const text =
      'target_deg,actual_deg,motor_deg_per_s,power_percent\n90,93,180,\n90,94,,40\n90,95,,80\n90,95,,\n';
    const { records, bad } = await readTurnTrials(file(text), newId, robot);
    // 180° of the motor a second on 56 mm wheels roll 88 mm/s: over half of the 132 mm track.
    expect(records[0]?.rateRadPerS).toBeCloseTo((Math.PI * 0.056) / 2 / 0.066, 9);
    // Half-way between the two powers it drives at 0.2 m/s.
    expect(records[1]?.rateRadPerS).toBeCloseTo(0.2 / 0.066, 9);
    expect(bad.map(({ line }) => line)).toEqual([4, 5]);
    expect(bad[0]?.why).toMatch(/at 80 % was not timed/);
    expect(bad[1]?.why).toMatch(/neither rate_deg_per_s nor/);
  });

  it('leave out single bad rows, told with their numbers', async () => {
    const { records, bad } = await readTrials(
      LAP_TRIAL,
      file('direction,return_x_mm,return_y_mm,return_heading_deg\ncw,1,2,3\nup,1,2,3\nccw,1,,3\n'),
      newId,
    );
    expect(records).toHaveLength(1);
    expect(bad.map(({ line }) => line).toSorted()).toEqual([3, 4]);
  });
});
