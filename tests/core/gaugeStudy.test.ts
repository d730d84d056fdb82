import { expect, it } from 'vitest';
import { gaugeLacks, gaugeStudy } from '../../src/core/ranging/gaugeStudy';
import { number, rowsOf, trueOf } from '../support/rows';

const recorded = rowsOf('tape-gauge.csv').map((row) => ({
  part: row.part ?? '',
  person: row.person ?? '',
  valueM: number(row, 'reading_cm') / 100,
}));

it('the same lengths read by three say how well a tape is read, and what that hides', () => {
  const study = gaugeStudy(recorded);
  const [, again] = /the same again ± ([\d.]+) mm/.exec(study?.sentences.found ?? '') ?? [];
  const truthMm = 10 * trueOf('tape-gauge.csv', 'repeatability_cm');
  const [low = NaN, high = NaN] = study?.found.repeatability95M ?? [];
  expect(1000 * low).toBeLessThan(truthMm);
  expect(1000 * high).toBeGreaterThan(truthMm);
  expect(Number(again)).toBeCloseTo(1000 * (study?.found.repeatabilitySdM ?? NaN), 1);
  expect(study?.sentences.means).toMatch(/3 persons who read 6 lengths.*less than 3 mm/);
});

it('persons who read differently are to agree, a coarse tape is to be replaced', () => {
  const shifted = recorded.map((one) =>
    one.person === 'A' ? { ...one, valueM: one.valueM + 0.01 } : one,
  );
  expect(gaugeStudy(shifted)?.sentences.next).toMatch(/^Agree on how it is read/);
  const off = (i: number) => 0.004 * ((i % 3) - 1);
  const coarse = recorded.map((one, i) => ({ ...one, valueM: one.valueM + off(i) }));
  expect(gaugeStudy(coarse)?.sentences.next).toMatch(/^A better ruler is worth it/);
});

it('says what is missing until every person has read every length as often', () => {
  const read = (person: string, part: string) => ({ person, part, valueM: 1 });
  expect(gaugeLacks([read('Moss', 'a')])).toMatch(/Two lengths at least/);
  expect(gaugeLacks([read('Moss', 'a'), read('Moss', 'b')])).toMatch(/another person/);
  expect(
    gaugeLacks(['a', 'b'].flatMap((part) => [read('Moss', part), read('Fern', part)])),
  ).toMatch(/Moss has read “a” 1 time; 2 are needed/);
  expect(gaugeStudy([read('Moss', 'a')])).toBeNull();
});
