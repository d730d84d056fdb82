import { displaySettings } from '../../core/text/displaySettings';

/** So many answers are remembered: those for a team’s robots and series. */
const MOST = 200;

/**
 * A computation whose last answers are remembered by all that they follow from: any change, also by a restore,
 * is another question.
 */
export function remembered<Q, A>(compute: (question: Q) => A): (question: Q) => A {
  const answers = new Map<string, A>();
  return (question) => {
    // Answers hold sentences: with other display settings they are others.
    const key = JSON.stringify([question, displaySettings()]);
    const known = answers.get(key);
    if (known !== undefined) return known;
    const answer = compute(question);
    answers.set(key, answer);
    const [oldest] = answers.keys();
    if (answers.size > MOST && oldest !== undefined) answers.delete(oldest);
    return answer;
  };
}
