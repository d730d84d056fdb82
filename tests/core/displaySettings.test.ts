import { afterEach, describe, expect, it } from 'vitest';
import { CHANNEL_KINDS } from '../../src/core/channels/kinds';
import { shownRange, shownText } from '../../src/core/channels/shown';
import { describeStart, describeStep } from '../../src/core/course/describe';
import { stepSchema } from '../../src/core/steps/step';
import { driftText } from '../../src/core/gyro/driftText';
import { offsetInWords } from '../../src/core/runs/verdict';
import { PLAIN_DISPLAY, setDisplaySettings } from '../../src/core/text/displaySettings';
import { benchLength, benchSpeed, errorLength, headingText } from '../../src/core/text/quantities';
import { fieldValue } from '../../src/formats/fieldWords';
import { guessRunColumns, readRuns, writeRunsCsv } from '../../src/formats/csv/runsCsv';
import { BENCH_LENGTH, DEG, DRIFT, HEADING, SMALL_LENGTH } from '../../src/ui/fields/units';
import { deg, routeOf } from './support';

const inches = { ...PLAIN_DISPLAY, length: 'in', positiveTurn: 'right' } as const;
const kind = (key: string) => {
  const found = CHANNEL_KINDS.find((one) => one.key === key);
  if (found === undefined) throw new Error(key);
  return found;
};

afterEach(() => setDisplaySettings(PLAIN_DISPLAY));

describe('how a team wants quantities to be said', () => {
  it('a condition of the heading is turned round with the headings', () => {
    const until = { reading: 'heading', is: 'above', value: deg(30) };
    const step = stepSchema.parse({ id: 'a', kind: 'straight', distanceM: 0.3, until });
    expect(describeStep(step, [])).toContain('the heading is 30° or more');
    setDisplaySettings(inches);
    // More to the left is less, where right is positive.
    expect(describeStep(step, [])).toContain('the heading is −30° or less');
  });

  it('lengths: cm with mm for the errors of runs, mm, or inches throughout', () => {
    expect([benchLength(0.415), errorLength(0.012), benchSpeed(0.3)]).toEqual([
      '41.5 cm',
      '12 mm',
      '30 cm/s',
    ]);
    setDisplaySettings({ ...PLAIN_DISPLAY, length: 'mm' });
    expect([benchLength(0.415), errorLength(0.012), benchSpeed(0.3)]).toEqual([
      '415 mm',
      '12 mm',
      '300 mm/s',
    ]);
    setDisplaySettings(inches);
    // One inch is 25.4 mm.
    expect([benchLength(0.254), errorLength(0.0127), benchSpeed(0.254)]).toEqual([
      '10 in',
      '0.50 in',
      '10 in/s',
    ]);
    expect(offsetInWords(0.0254, -0.0508)).toBe('1.00 in too far and 2.00 in to the right');
    expect(fieldValue('robot.wheelDiameterM', 0.0508, {})).toBe('2 in');
  });

  it('turns: to the left or to the right as positive, and a size stays a size', () => {
    const right = deg(-90);
    expect([headingText(right), driftText(deg(-0.2))]).toEqual(['−90°', '−0.20 °/s']);
    setDisplaySettings(inches);
    expect([headingText(right), driftText(deg(-0.2))]).toEqual(['90°', '0.20 °/s']);
    const turn = stepSchema.parse({ id: 's', kind: 'turn', mode: 'to', angleRad: right });
    expect(describeStep(turn, [])).toMatch(/^Turn to 90°/);
    // Words for the side need no sign, and keep theirs.
    const by = stepSchema.parse({ id: 's', kind: 'turn', mode: 'by', angleRad: right });
    expect(describeStep(by, [])).toMatch(/^Turn by 90° to the right/);
    const start = { xM: 0.254, yM: 0.127, headingRad: deg(-30) };
    expect(describeStart({ ...routeOf([]), start })).toContain(
      '10 in along the home edge and 5 in away from it, heading 30°',
    );
  });

  it('readings of any channel, the lower end of a range first', () => {
    expect(shownText(kind('distanceM'), 0.254)).toBe('25.4 cm');
    setDisplaySettings(inches);
    expect(shownText(kind('distanceM'), 0.254)).toBe('10.00 in');
    expect(shownRange(kind('headingRad'), deg(-40), deg(10))).toBe('−10.0° to 40.0°');
    expect(shownText(kind('light'), 0.5)).toBe('50 %');
  });

  it('fields: what is typed comes back as the same value in SI, within limits of the record', () => {
    for (const length of ['cm', 'mm', 'in'] as const) {
      setDisplaySettings({ ...inches, length });
      for (const unit of [BENCH_LENGTH, SMALL_LENGTH, HEADING, DRIFT, DEG]) {
        for (const si of [-0.3, 0, 0.0254, 1]) expect(unit.read(unit.show(si))).toBeCloseTo(si, 12);
      }
    }
    expect([HEADING.show(deg(-90)), DEG.show(deg(-90))]).toEqual([90, -90]);
    // A limit of 1000 mm is 39.4 in.
    expect(SMALL_LENGTH.show(1000 / SMALL_LENGTH.limitsPerSi)).toBeCloseTo(39.37, 2);
  });

  it('files: a column says its unit and its positive turn, and either is read, whatever is set', () => {
    const run = {
      ...{ id: 'R', version: 1, seriesId: 'S', number: 1, happenedAt: '2026-11-14T14:10:00.000Z' },
      ...{ placedBy: null, battery: null, batteryV: null, worked: true, missions: {} },
      ...{ cause: null, note: null, setAsideReason: null },
      ...{ endXM: 0.0127, endYM: -0.0254, endHeadingRad: deg(3) },
    };
    const read = (text: string) => {
      const [header = [], ...rows] = text
        .trim()
        .split('\n')
        .map((line) => line.split(','));
      const table = { header, rows: rows.map((cells, i) => ({ line: i + 2, cells })) };
      return readRuns(table, guessRunColumns(header, []))[0]?.run;
    };
    const plain = writeRunsCsv([run], []);
    expect(plain).toContain('end_x_mm,end_y_mm,end_heading_deg');
    setDisplaySettings(inches);
    const text = writeRunsCsv([run], []);
    expect(text).toContain('end_x_in,end_y_in,end_heading_right_deg');
    expect(text).toContain('0.5,-1,-3,');
    for (const file of [plain, text]) {
      const back = read(file);
      expect(back?.endXM).toBeCloseTo(0.0127, 9);
      expect(back?.endYM).toBeCloseTo(-0.0254, 9);
      expect(back?.endHeadingRad).toBeCloseTo(deg(3), 9);
    }
    // A column without a unit is in the team's.
    expect(read('x,y\n1,2')?.endXM).toBeCloseTo(0.0254, 9);
  });
});
