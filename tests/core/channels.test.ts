import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { channelKey, channelLabel, channelName, channelOf } from '../../src/core/channels/key';
import { interpolateGaps } from '../../src/core/channels/interpolateGaps';
import { CHANNEL_KINDS } from '../../src/core/channels/kinds';
import { extentOf } from '../../src/core/channels/extent';
import { readsNow } from '../../src/core/channels/readsNow';
import { shownText } from '../../src/core/channels/shown';
import { meaningOf, titleOf } from '../../src/core/channels/title';
import { withBreaks } from '../../src/core/chart/withBreaks';
import { unwrapEncoder } from '../../src/core/channels/unwrapEncoder';
import { whereRead } from '../../src/core/channels/log';
import { unwrapHeadings } from '../../src/core/channels/unwrap';
import { deg } from './support';

const none = new Set<string>();

describe('the channels of a log', () => {
  it('are each found again by the title that Corvat gives them', () => {
    const words = ['front', 'left side', 'arm_2', 'S3', 'größe', 'claw'];
    for (const kind of CHANNEL_KINDS) {
      for (const word of kind.key === 'colour' ? ['red', 'c1_blue'] : words) {
        const key = channelKey(kind, word);
        const { key: found, factor } = meaningOf(titleOf(key), none);
        expect(found, titleOf(key)).toBe(key);
        expect(factor, titleOf(key)).toBe(kind.units[0].factor);
      }
    }
  });

  it.each([
    ['sonar range_in', 'distanceM:sonar range', 0.0254],
    ['front_mm', 'distanceM:front', 0.001],
    ['yaw_rad', 'headingRad', 1],
    ['left_rotations', 'leftMotorDegrees', 360],
    ['left_light_percent', 'light:left_light', 0.01],
    ['bumper', 'touch:bumper', 1],
    ['battery_mv', 'volts', 0.001],
    ['c1_green_255', 'colour:c1_green', 1 / 255],
    ['temperature', 'number:temperature', 1],
  ])('are told by what teams call them: %s', (title, key, factor) => {
    expect(meaningOf(title, none)).toEqual({ key, factor });
  });

  it('have a name that the screen and the store can hold, whatever a file says', () => {
    fc.assert(
      fc.property(fc.string(), fc.constantFrom(...CHANNEL_KINDS), (text, kind) => {
        const key = channelKey(kind, channelName(text));
        expect(channelOf(key)?.kind).toBe(kind);
        expect(key.length).toBeLessThanOrEqual(64);
        expect(channelLabel(key)).not.toBe('');
      }),
    );
  });

  it('are called in words', () => {
    expect(
      [
        'headingRad',
        'distanceM:front',
        'distanceM:distance',
        'light:left_light',
        'number:temp_c',
      ].map(channelLabel),
    ).toEqual(['Heading', 'Distance front', 'Distance', 'Left light', 'Temp c']);
  });

  it('of the same name are kept apart', () => {
    const taken = new Set(['distanceM:front', 'number:front_cm']);
    expect(meaningOf('front_cm', taken).key).toBe('number:front_cm 2');
  });

  it('that are none are told', () => {
    for (const key of ['', 'heading', 'headingRad:x', 'distanceM', 'distanceM:', 'touch:\u0000']) {
      expect(channelOf(key), key).toBeNull();
    }
  });
});

describe('gaps', () => {
  const { NaN: gap } = Number;
  const arbitrary = fc.array(fc.option(fc.integer({ min: -100, max: 100 }), { nil: gap }), {
    minLength: 1,
    maxLength: 40,
  });

  it('between readings of a wheel are filled straight, and nothing else is changed', () => {
    const tS = Float64Array.from([0, 1, 2, 4, 5, 6]);
    const values = Float64Array.from([gap, 10, gap, 40, gap, gap]);
    expect([...interpolateGaps(tS, values)]).toEqual([10, 10, 20, 40, 40, 40]);
    fc.assert(
      fc.property(arbitrary, (drawn) => {
        const read = Float64Array.from(drawn);
        const filled = interpolateGaps(Float64Array.from(read.keys()), read);
        const known = drawn.filter((value) => !Number.isNaN(value));
        drawn.forEach((value, i) => {
          if (!Number.isNaN(value)) expect(filled[i]).toBe(value);
        });
        if (known.length > 0) {
          expect(Math.min(...filled)).toBe(Math.min(...known));
          expect(Math.max(...filled)).toBe(Math.max(...known));
        }
      }),
    );
  });

  it('do not stop headings and encoders from being counted on', () => {
    const headings = unwrapHeadings(Float64Array.from([deg(170), gap, deg(-170), gap, deg(-150)]));
    expect([...headings].map((value) => Math.round((value * 180) / Math.PI))).toEqual([
      170,
      gap,
      190,
      gap,
      210,
    ]);
    expect([...unwrapEncoder(Float64Array.from([350, gap, 10, gap, 350]))]).toEqual([
      350,
      gap,
      370,
      gap,
      350,
    ]);
  });

  it('leave what was read at the same time together', () => {
    const tS = Float64Array.from([0, 1, 2, 3]);
    const log = {
      tS,
      columns: {
        headingRad: Float64Array.from([1, gap, 3, 4]),
        volts: Float64Array.from([5, 6, gap, 8]),
      },
    };
    const { tS: kept, columns } = whereRead(log, ['headingRad']);
    expect([...kept]).toEqual([0, 2, 3]);
    expect([...(columns.volts ?? [])]).toEqual([5, gap, 8]);
    expect(whereRead(log, ['distanceM:front'])).toBe(log);
  });

  it('break the line of a chart', () => {
    const points = withBreaks(
      Float64Array.from([0, 1, 2, 3]),
      Float64Array.from([1, gap, gap, 4]),
      100,
    );
    expect(points).toEqual([
      { x: 0, y: 1 },
      { x: 1, y: gap },
      { x: 3, y: 4 },
    ]);
  });
});

describe('a value on the screen', () => {
  const kindOf = (key: string) => {
    const channel = channelOf(key);
    if (channel === null) throw new Error(`no channel ${key}`);
    return channel.kind;
  };

  it.each([
    ['headingRad', deg(-12.34), '−12.3°'],
    ['distanceM:front', 0.3149, '31.5 cm'],
    ['light:left', 0.624, '62 %'],
    ['volts', 7.954, '7.95 V'],
    ['touch:bumper', 1, 'pressed'],
    ['touch:bumper', 0, 'free'],
    ['rateRadPerS', deg(0.5), '0.50°/s'],
    ['step', 7, '7'],
  ])('has its unit and as many digits as it is worth: %s', (key, value, text) => {
    expect(shownText(kindOf(key), value)).toBe(text);
  });
});

describe('what a log reads', () => {
  const { NaN: gap } = Number;
  const of = (...values: number[]) => Float64Array.from(values);

  it('spans from the lowest to the highest reading, gaps counted apart', () => {
    expect(extentOf(of(3, gap, -1, 2))).toEqual({ low: -1, high: 3, missing: 1 });
    expect(extentOf(of(gap, gap))).toBeNull();
    expect(extentOf(of())).toBeNull();
  });

  it('now is what came last; a sensor read now and then keeps it, a lost echo does not', () => {
    const log = {
      tS: of(0, 1, 2),
      columns: {
        headingRad: of(1, 2, 3),
        'light:left': of(0.6, 0.7, gap),
        'distanceM:front': of(0.3, 0.4, gap),
        'touch:bumper': of(gap, gap, gap),
      },
    };
    expect(readsNow(log).map(({ label, value }) => [label, value])).toEqual([
      ['Heading', 3],
      ['Light left', 0.7],
      ['Distance front', null],
      ['Touch bumper', null],
    ]);
  });
});
