import { STILL_SETTINGS, type StillSettings } from './stillDefaults';
import type { EarlierCheck } from './earlierChecks';
import type { StillCheck } from './stillCheck';
import type { StillVerdict } from './stillVerdict';

/**
 * A sensor that warms up slowly (time constants up to some 100 s) has come to within a twentieth of where it ends by then. A
 * check of a minute before it cannot tell such a drift from a steady one.
 */
const SOON_S = 300;
/** A log of this length shows by itself whether the drift changes. */
const TELLS_BY_ITSELF_S = 300;
/** So much later than now an earlier check may have begun and still count as one that was as soon. */
const AS_SOON_S = 60;

/** What is said of a drift as if it went on so; all others say nothing that a warm-up could make wrong. */
const AS_IF_STEADY: readonly StillVerdict[] = ['steady', 'correctable', 'measure-longer'];

type Known = Required<Pick<EarlierCheck, (typeof FIGURES)[number]>>;
const FIGURES = ['sincePowerUpS', 'cleanS', 'driftRadPerS', 'low95', 'high95'] as const;

const isKnown = (check: EarlierCheck): check is EarlierCheck & Known =>
  FIGURES.every((figure) => check[figure] !== undefined);

const isSteady = ({ warmUp }: Pick<EarlierCheck, 'warmUp'>): boolean =>
  warmUp?.changing !== true && warmUp?.hinted !== true;

const half = ({ low95, high95 }: Known): number => (high95 - low95) / 2;

/** Whether earlier checks of the sensor show that so soon after power-up it drifts as it does later. */
export function settlesBy(
  sincePowerUpS: number,
  earlier: readonly EarlierCheck[],
  runDurationS: number,
  allowedRad: number,
): boolean {
  const known = earlier.filter(isKnown);
  const asSoon = known.filter(
    (one) => one.sincePowerUpS <= sincePowerUpS + AS_SOON_S && isSteady(one),
  );
  return asSoon.some(
    (soon) =>
      soon.cleanS >= TELLS_BY_ITSELF_S ||
      known.some((late) => {
        if (late.sincePowerUpS < soon.sincePowerUpS + SOON_S) return false;
        const changed = Math.abs(late.driftRadPerS - soon.driftRadPerS);
        return (changed + Math.hypot(half(soon), half(late))) * runDurationS <= allowedRad;
      }),
  );
}

/** What is known besides the log. */
export interface KnownBefore {
  /** How long the sensor had been on when the log began; null: not known. */
  sincePowerUpS?: number | null;
  earlier?: readonly EarlierCheck[];
}

/**
 * A check that was made soon after power-up, and is too short to tell a warm-up from a steady drift: it is to be made again,
 * unless earlier checks of the sensor show that it has settled by then. Any other stays as it is.
 */
export function judgedSoonAfterPowerUp(
  check: StillCheck,
  { sincePowerUpS = null, earlier = [] }: KnownBefore,
  runDurationS: number,
  toleranceRad: number,
  { driftShare }: StillSettings = STILL_SETTINGS,
): StillCheck {
  if (sincePowerUpS === null) return check;
  const told = { ...check, sincePowerUpS };
  const isSoon = sincePowerUpS < SOON_S && check.cleanS < TELLS_BY_ITSELF_S;
  if (!isSoon || !isSteady(check) || !AS_IF_STEADY.includes(check.verdict)) return told;
  if (settlesBy(sincePowerUpS, earlier, runDurationS, driftShare * toleranceRad)) return told;
  const leftS = SOON_S - sincePowerUpS - check.cleanS;
  return {
    ...told,
    verdict: 'check-again',
    neededS: null,
    againInS: 60 * Math.max(1, Math.ceil(leftS / 60)),
  };
}
