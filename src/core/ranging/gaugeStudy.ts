import type { ThreeSentences } from '../gyro/still/stillSentence';
import { counted, errorLength } from '../text/quantities';
import { gauge, type Gauge, type GaugeReading } from './gauge';

/** What is measured has to be so many times coarser than the measuring for it not to matter. */
const TIMES = 3;
/** Whoever reads a tape worse than this would do better with another way of reading it. */
const COARSE_M = 0.0015;

export interface GaugeStudy {
  found: Gauge;
  sentences: ThreeSentences;
}

function nextSentence({ repeatabilitySdM, reproducibilitySdM }: Gauge): string {
  if (reproducibilitySdM > repeatabilitySdM) {
    return 'Agree on how it is read: the same edge, the eye straight above. Or let one person read all.';
  }
  return repeatabilitySdM > COARSE_M
    ? 'A better ruler is worth it: a steel one, laid against a stop, read from straight above.'
    : 'That is as well as a tape can be read: go on with it.';
}

/** What the same lengths read by several persons say about the measuring, in three sentences. */
export function gaugeStudy(readings: readonly GaugeReading[]): GaugeStudy | null {
  const found = gauge(readings);
  if (found === null) return null;
  const { repeatabilitySdM, reproducibilitySdM, gaugeSdM, persons, parts } = found;
  const [low, high] = found.repeatability95M.map((sd) => errorLength(sd, 1));
  return {
    found,
    sentences: {
      found: `One person reads the same again ± ${errorLength(repeatabilitySdM, 1)} (${low} to ${high}); ${reproducibilitySdM > 0 ? `between persons it is ± ${errorLength(reproducibilitySdM, 1)} more` : 'between persons no further difference is shown'}.`,
      means: `Together ± ${errorLength(gaugeSdM, 1)}, by ${counted(persons, 'person')} who read ${counted(parts, 'length')}: a robot that scatters by less than ${errorLength(TIMES * gaugeSdM)} cannot be told from the measuring.`,
      next: nextSentence(found),
    },
  };
}

/** What is still missing for an answer, in a sentence. */
export function gaugeLacks(readings: readonly GaugeReading[]): string {
  const persons = new Set(readings.map(({ person }) => person));
  const parts = new Set(readings.map(({ part }) => part));
  if (parts.size < 2)
    return 'Two lengths at least are needed, so that nobody remembers the figure.';
  if (persons.size < 2) return 'Now let another person read the same.';
  const counts = [...parts].flatMap((part) =>
    [...persons].map((person) => ({
      part,
      person,
      n: readings.filter((one) => one.part === part && one.person === person).length,
    })),
  );
  const wanted = Math.max(2, ...counts.map(({ n }) => n));
  const short = counts.find(({ n }) => n < wanted);
  return short === undefined
    ? ''
    : `${short.person} has read “${short.part}” ${counted(short.n, 'time')}; ${wanted} are needed, as often as the others.`;
}
