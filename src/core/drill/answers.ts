/** What the causes of a drill are called as answers, for pages that draw none of them. */
export const ANSWERS = {
  good: 'It is good',
  'too-weak': 'The gain is too weak',
  'too-strong': 'The gain is too strong',
  'wrong-sign': 'It turns the wrong way',
  'late-sensor': 'The sensor tells too late',
  saturated: 'The motors are at their limit',
  'as-told': 'Nothing: it did as it was told',
  'missed-equality': 'It waited for one value (=) and missed it',
  'rolled-over': 'The motor’s counter rolled over',
  'motor-angle': 'It turned by the motor’s angle, not the robot’s',
  'long-way': 'It went the long way round',
  'stale-threshold': 'The threshold is of another day or table',
} as const;

export type CauseId = keyof typeof ANSWERS;

const isCause = (id: string): id is CauseId => id in ANSWERS;

/** The answer that names a cause; the cause itself where this Corvat does not know it. */
export const answerOf = (cause: string): string => (isCause(cause) ? ANSWERS[cause] : cause);
