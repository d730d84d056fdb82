import { oneIn } from '../text/oneIn';
import { counted, errorLength, percent, shortNumber } from '../text/quantities';
import type { ConversionFound } from './conversion';
import type { ReadAnew } from './readAnew';

/** Both are told apart where one is mistaken so much more often. */
const MORE = 0.005;

/** What reading anew costs: over one colour, where colours change, and in time. @param readS of one reading; null: not told */
export function readAnewSentences(
  { questions, onceWrong, anewWrong, thirdShare, worst }: ReadAnew,
  readS: number | null,
  speedMPerS: number,
): string[] {
  const rest =
    anewWrong > onceWrong + MORE
      ? `Over one colour it is then mistaken in ${percent(anewWrong)} instead of ${onceWrong === 0 ? 'none' : percent(onceWrong)}.`
      : 'Over one colour that is as good.';
  const edge =
    worst === null
      ? 'Where a colour begins while it asks, it never finds a third, by these readings.'
      : `Where a colour begins while it asks, it finds a third one in ${percent(thirdShare)} of the places: most often ${worst.third} between ${worst.from} and ${worst.to}.`;
  const time =
    readS === null
      ? []
      : [
          `It also costs ${shortNumber(1000 * readS * (questions - 1), 1)} ms a round: at this speed ${errorLength(readS * (questions - 1) * speedMPerS, 1)} further until it acts.`,
        ];
  return [
    `A program that reads the sensor anew for each question acts on up to ${counted(questions, 'different reading')} instead of one. ${rest} ${edge}`,
    ...time,
  ];
}

/** What a program's own conversion does to these colours. */
export function conversionSentence({
  clipped,
  n,
  names,
  divisor,
  errors,
}: ConversionFound): string {
  if (clipped === 0) return 'It cuts nothing off these readings.';
  const worse =
    errors !== null && errors.converted > errors.counted + MORE
      ? ` Then ${oneIn(errors.converted, 'reading')} is mistaken; as counted, ${errors.counted === 0 ? 'none' : oneIn(errors.counted, 'reading')}.`
      : '';
  return `It cuts off ${clipped} of ${n} readings, of ${names.join(', ')}: what lies above reads alike.${worse} Divide by ${divisor} instead.`;
}
