import type { ComponentType } from 'react';
import type { Step } from '../../../core/steps/step';
import { ApproachSentence } from './Approach';
import { MarkSentence } from './Mark';
import { SquareUpSentence } from './SquareUp';
import { StraightSentence } from './Straight';
import type { StepFields } from './stepFields';
import { TurnSentence } from './Turn';

const SENTENCES: { [K in Step['kind']]: ComponentType<StepFields<K>> } = {
  straight: StraightSentence,
  turn: TurnSentence,
  approach: ApproachSentence,
  'square-up': SquareUpSentence,
  mark: MarkSentence,
};

/** A step as a plain sentence, its values edited in place. */
export function StepSentence(props: StepFields) {
  const Sentence = SENTENCES[props.step.kind] as ComponentType<StepFields>;
  return <Sentence {...props} />;
}
