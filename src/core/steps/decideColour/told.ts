import { guessedRules } from '../../colour/guessedRules';
import type { ColourRules, References } from '../../colour/inequalities';
import type { DeviceOf } from '../../devices/device';
import { unitOrFirst } from '../unitNamed';
import type { Robot } from '../../robot/robot';
import type { OwnerOf } from '../descriptions';
import { ANY } from './description';

/** How the colours of a step are told from each other, on a robot. */
export interface ColoursTold {
  unit: DeviceOf<'colour sensor'> | null;
  references: References | null;
  rules: ColourRules[];
  /** Nobody has read them: they are told by what their words mean. */
  isGuess: boolean;
  /** Those that nobody has read and that are no word for a colour. */
  unknown: string[];
}

const all = (share: number) => ({ red: share, green: share, blue: share });

/** By the inequalities that were measured where they hold all of its colours; else by what the words mean: a guess. */
export function coloursTold(
  { colour, classes }: Pick<OwnerOf<'decide-colour'>, 'colour' | 'classes'>,
  robot: Robot,
): ColoursTold {
  const unit = unitOrFirst(robot, 'colour sensor', colour === ANY ? undefined : colour);
  const names = Object.keys(classes);
  const { colours } = robot.measured;
  const read =
    colours.find(({ unitId }) => unitId === unit?.id) ??
    colours.find(({ unitId }) => unitId === null);
  const measured = names.flatMap((name) => read?.classes.find((one) => one.name === name) ?? []);
  if (read !== undefined && measured.length === names.length) {
    const { references } = read;
    return { unit, references, rules: measured, isGuess: false, unknown: [] };
  }
  const guessed = names.flatMap((name) => {
    const rules = guessedRules(name);
    return rules === null ? [] : [{ ...rules, name }];
  });
  const { whiteShare = 1, blackShare = 0 } = unit?.behaviour ?? {};
  return {
    unit,
    references: { white: all(whiteShare), black: all(blackShare) },
    rules: guessed,
    isGuess: true,
    unknown: names.filter((name) => guessedRules(name) === null),
  };
}
