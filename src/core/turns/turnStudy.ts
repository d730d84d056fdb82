import { degreesFromRadians, radiansFromDegrees } from '../geometry/angle';
import { counted, degrees, number } from '../text/quantities';
import type { ThreeSentences } from '../gyro/still/stillSentence';
import { hardlyTurns, turnedBy, type TurnErrorModel, type TurnModelName } from './errorModel';
import type { TurnGroup } from './grouping';
import { misfitText, type Misfit } from './misfits';
import { adviseNextTrial, type Advice } from './nextTrial';
import { sideOf } from '../calibrationValues/turnCommand';
import type { TurnTrial } from './trial';
import { further, soFarInWords } from './notProved';
import { commandWithAll, turnModel, type TurnCommand, type TurnModel } from './turnModel';

/** Angles that a team is asked about when it has named none. */
export const USUAL_ANGLES_RAD: readonly number[] = [45, 90, 180].flatMap((angle) => [
  radiansFromDegrees(angle),
  -radiansFromDegrees(angle),
]);

export interface TurnStudy {
  /** Its commands are no surer than what can be read. */
  model: TurnModel;
  advice: Advice;
  sentences: ThreeSentences;
  /** Why this model and not the others, group by group; and the others by Akaike's criterion. */
  why: { group: string; text: string; others: string }[];
  /** What is asked about each trial that does not fit, and what it would change. */
  questions: { index: number; text: string }[];
}

/** A group in words: "left, 90°/s". */
export function groupName({ direction, rateRadPerS, kind, rates }: TurnGroup): string {
  const way = direction === 'both' ? 'both ways' : `to the ${direction}`;
  const rate =
    rateRadPerS === null
      ? rates.map((one) => degrees(one, 0)).join(' and ')
      : degrees(rateRadPerS, 0);
  return `${kind === 'spin' ? 'in place' : 'about one wheel'}, ${way}, ${rate}/s`;
}

function errorInWords(model: TurnErrorModel): string {
  const { constantRad, scaleError } = model;
  if (!model.isProved && model.model !== 'none') return soFarInWords(model);
  const share = `${number(Math.abs(scaleError) * 100, 1)} % ${scaleError >= 0 ? 'too far' : 'short'}`;
  switch (model.model) {
    case 'none':
      return 'turns come out right on average';
    case 'c':
      return `every turn goes ${further(constantRad)}, whatever the angle`;
    case 'k':
      return `turns go ${share}, the more the larger the angle`;
    case 'both':
      return `every turn goes ${further(constantRad)}, and ${share} of its angle besides`;
  }
}

const NAMES: Record<TurnModelName, string> = {
  none: 'no error at all',
  c: 'a constant',
  k: 'a share of the angle',
  both: 'a constant and a share together',
};

/** The other explanations, the nearest first, by how much worse they are (Akaike's criterion). */
const whatElse = ({ aiccAbove, model, oneTarget }: TurnErrorModel): string =>
  oneTarget
    ? ''
    : (Object.entries(aiccAbove) as [TurnModelName, number][])
        .filter(([name]) => name !== model)
        .toSorted((a, b) => a[1] - b[1])
        .map(([name, above]) => `${NAMES[name]}: worse by ${number(above, 1)}`)
        .join('; ');

/** Why this model, in plain words. */
function whyModel(model: TurnErrorModel): string {
  const basis = `${counted(model.n, 'trial')}`;
  if (model.oneTarget) {
    return `${basis} of one angle: whether turns go too far by the same angle always, or by more the further they go, one angle cannot show. Try another.`;
  }
  const others = Object.keys(model.aiccAbove).filter((name) => name !== model.model);
  return others.length === 0
    ? `${basis}: too few to compare explanations; a constant is believed only when it is proved.`
    : `${basis}: ${NAMES[model.model]} explains them best.`;
}

/** The command that is asked about most: 90° to the left, or else the first that there is. */
function askedCommand({ commands }: TurnModel): TurnCommand | undefined {
  const known = commands.filter(({ commandRad }) => commandRad !== null);
  return (
    known.find(({ wantedRad }) => Math.abs(wantedRad - Math.PI / 2) < 0.01) ??
    known[0] ??
    commands[0]
  );
}

/** Of the heading sensor's own scale, which does not end with a turn. */
function scaleInWords({ gyroScale, groups }: TurnModel): string {
  if (gyroScale === null || gyroScale.by === 'trials') {
    const isShare = groups.some(({ model }) => model.isProved && Math.abs(model.scaleError) > 0);
    return isShare
      ? ' That may be the heading sensor’s own scale, and then drives that hold a heading go off by it as well: note what it reads after each turn, and it is told.'
      : '';
  }
  const { scaleError, low95, high95, upToRateRadPerS } = gyroScale;
  if (low95 <= 0 && high95 >= 0) {
    return ` Its heading sensor reads right, to ${number(100 * Math.max(high95, -low95), 1)} %.`;
  }
  const [least, most] = [Math.abs(low95), Math.abs(high95)].sort((a, b) => a - b);
  const upTo =
    upToRateRadPerS === null
      ? ''
      : ` Turned faster than ${degrees(upToRateRadPerS, 0)}/s it reads less still: that is as fast as it can follow.`;
  return ` Its heading sensor reads ${number(100 * Math.abs(scaleError), 1)} % (${number(100 * (least ?? 0), 1)} to ${number(100 * (most ?? 0), 1)} %) ${scaleError > 0 ? 'too much' : 'too little'}: every heading is told × ${number(1 + scaleError, 4)}, in turns and in drives.${upTo}`;
}

function commandSentence(asked: TurnCommand | undefined): string {
  if (asked === undefined) return 'Name the angles that your routes use.';
  const { low95Rad, high95Rad, commandRad, reason } = asked;
  if (commandRad === null) return reason ?? '';
  const sizes = [low95Rad, high95Rad].map((angle) => Math.abs(angle ?? 0)).sort((a, b) => a - b);
  const interval =
    low95Rad === null || high95Rad === null
      ? ''
      : `; one such turn then makes ${degrees(sizes[0] ?? 0)} to ${degrees(sizes[1] ?? 0)}`;
  return `For ${degrees(Math.abs(asked.wantedRad), 0)} to the ${asked.direction} at ${degrees(asked.rateRadPerS, 0)}/s, stop at ${degrees(Math.abs(commandRad))}${interval}.`;
}

/** All groups in a few words where they differ by the rate alone, or else the one asked about. */
function foundSentence(groups: readonly TurnGroup[], asked: TurnGroup): string {
  const alike = groups.every(
    ({ direction, kind, model, rateRadPerS }) =>
      direction === asked.direction &&
      kind === asked.kind &&
      model.model === 'c' &&
      rateRadPerS !== null,
  );
  if (!alike || groups.length < 2) return `${groupName(asked)}: ${errorInWords(asked.model)}`;
  const list = groups.map(
    ({ rateRadPerS, model }) =>
      `${further(model.constantRad)} at ${degrees(rateRadPerS ?? 0, 0)}/s`,
  );
  return `every turn goes ${list.join(', ')}, whatever the angle`;
}

/** However alike a few trials came out: what one turn makes is not known better than it can be read. */
function noSurerThanRead(command: TurnCommand, readingSdRad: number): TurnCommand {
  const { low95Rad, high95Rad, wantedRad } = command;
  if (low95Rad === null || high95Rad === null) return command;
  return {
    ...command,
    low95Rad: Math.min(low95Rad, wantedRad - readingSdRad),
    high95Rad: Math.max(high95Rad, wantedRad + readingSdRad),
  };
}

function scatterInWords({ residualSdRad, n }: TurnErrorModel, readingSdRad: number): string {
  if (n === 1) return 'one turn alone tells no scatter';
  const sd = residualSdRad || 0;
  return sd < readingSdRad / 2
    ? `one turn scatters by less than can be read (± ${degrees(readingSdRad)})`
    : `one turn scatters by ± ${degrees(sd)}`;
}

const hardlyTurned = ({ model, ...group }: TurnGroup): ThreeSentences => {
  const told = model.toRad;
  const turned = turnedBy(model, told);
  const isOtherWay = turned < -0.1 * told;
  return {
    found: isOtherWay
      ? 'The robot turned the other way than it was told.'
      : 'The robot hardly turned when it was told to.',
    means: `Told ${degrees(told, 0)} ${groupName({ model, ...group })}, it turns by about ${degrees(turned, 0)}: no command makes that right.`,
    next: isOtherWay
      ? 'Find out its directions on the Bench, see that the angles are typed right, then turn again.'
      : 'See that both motors run and that the angles are typed right, then turn again.',
  };
};

/** The rate at which braking is told, rad/s. */
const USUAL_RATE = Math.PI / 2;

/** Why turns go too far, where it can be told. */
function physicsInWords({ lagS, brakingRadPerS2 }: TurnModel): string {
  const lagMs = number((lagS ?? 0) * 1000);
  const parts = [
    ...(lagMs === '0' ? [] : [`stop ${lagMs} ms late`]),
    ...(brakingRadPerS2 === null
      ? []
      : [
          `turn on by ${degrees(USUAL_RATE ** 2 / (2 * brakingRadPerS2))} while they brake from ${degrees(USUAL_RATE, 0)}/s`,
        ]),
  ];
  return parts.length === 0 ? '' : ` Turns ${parts.join(', and ')}.`;
}

function sentencesOf(model: TurnModel, readingSdRad: number): ThreeSentences {
  const stuck = model.groups.find((one) => hardlyTurns(one.model));
  if (stuck !== undefined) return hardlyTurned(stuck);
  const command = askedCommand(model);
  const group =
    model.groups.find(
      ({ rates, direction }) =>
        rates.some((rate) => Math.abs(rate / (command?.rateRadPerS ?? rate) - 1) < 0.01) &&
        (direction === 'both' || direction === command?.direction),
    ) ?? model.groups[0];
  if (group === undefined) return { found: '', means: '', next: '' };
  const at90 = group.model.constantRad + group.model.scaleError * (Math.PI / 2);
  const found = foundSentence(model.groups, group);
  const scatter = scatterInWords(group.model, readingSdRad);
  const after4 = number(degreesFromRadians(Math.abs(at90) * 4));
  const rate = degrees(command?.rateRadPerS ?? group.rates[0] ?? 0, 0);
  const means =
    Math.abs(at90) < radiansFromDegrees(0.3)
      ? `Four quarter turns leave the heading right; ${scatter}.`
      : `${group.model.isProved ? 'After' : 'If that is so, after'} four quarter turns at ${rate}/s the robot faces ${after4}° the wrong way; ${scatter}.`;
  return {
    found: `${found.charAt(0).toUpperCase()}${found.slice(1)}.`,
    means: means + scaleInWords(model) + physicsInWords(model),
    next: commandSentence(command),
  };
}

/** What a trial that does not fit would change, or changes. */
function whatItChanges(
  trials: readonly TurnTrial[],
  { index, leftOut }: Misfit,
  driftRadPerS: number,
  { commands, misfits }: TurnModel,
): string {
  if (!leftOut) return 'It counts until it is set aside.';
  const trial = trials[index];
  const asked = commands.find(
    ({ direction, kind, rateRadPerS }) =>
      trial !== undefined &&
      direction === sideOf(trial.targetRad) &&
      kind === trial.kind &&
      Math.abs(rateRadPerS / trial.rateRadPerS - 1) < 0.01,
  );
  if (asked === undefined || asked.commandRad === null)
    return 'It does not count until it is mended.';
  const kept = trials.filter(
    (_, i) => i === index || !misfits.some((one) => one.leftOut && one.index === i),
  );
  const withIt = commandWithAll(kept, driftRadPerS, asked);
  const then = withIt === null ? 'none' : degrees(Math.abs(withIt));
  return `It does not count until it is mended; if it did, the command would change: for ${degrees(Math.abs(asked.wantedRad), 0)} it would be ${then} instead of ${degrees(Math.abs(asked.commandRad))}.`;
}

/**
 * What a list of turn trials says: models, commands, sentences, and what to try next.
 *
 * @param trials those with a measured angle, none set aside; at least one
 */
export function studyTurns(
  trials: readonly TurnTrial[],
  driftRadPerS: number,
  wantedRad: readonly number[],
  readingSdRad: number,
): TurnStudy {
  const wanted = wantedRad.length > 0 ? wantedRad : USUAL_ANGLES_RAD;
  const fitted = turnModel(trials, driftRadPerS, wanted);
  const model = {
    ...fitted,
    commands: fitted.commands.map((command) => noSurerThanRead(command, readingSdRad)),
  };
  return {
    model,
    advice: adviseNextTrial(model.groups, wanted, readingSdRad),
    sentences: sentencesOf(model, readingSdRad),
    why: model.groups.map((group) => ({
      group: groupName(group),
      text: whyModel(group.model),
      others: whatElse(group.model),
    })),
    questions: model.misfits.flatMap((misfit) => {
      const trial = trials[misfit.index];
      if (trial === undefined) return [];
      const change = whatItChanges(trials, misfit, driftRadPerS, model);
      return [{ index: misfit.index, text: `${misfitText(trial, misfit)} ${change}` }];
    }),
  };
}
