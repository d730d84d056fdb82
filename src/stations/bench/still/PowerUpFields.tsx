import { POWER_UPS } from '../../../formats/benchConstants';
import { Choice } from '../../../ui/fields/Choice';

/** What only whoever switched the robot on knows. */
export interface PowerUp {
  powerUp: (typeof POWER_UPS)[number];
  /** How long it had been on when the log began; null: not known. */
  sincePowerUpS: number | null;
}

export const POWER_UP_NOT_KNOWN: PowerUp = { powerUp: 'not known', sincePowerUpS: null };

/** Nobody looks at a clock when it is switched on: about so long. */
const ON_FOR = [
  { value: 'just before', sinceS: 30 },
  { value: '2 or 3 min before', sinceS: 150 },
  { value: 'earlier', sinceS: 600 },
  { value: 'not known', sinceS: null },
] as const;

interface Props {
  value: PowerUp;
  onChange(part: Partial<PowerUp>): void;
  /** The stand-in knows it itself. */
  asksWhen: boolean;
}

/** How the sensor was switched on before a still check, and when. */
export const PowerUpFields = ({ value: { powerUp, sincePowerUpS }, onChange, asksWhen }: Props) => (
  <>
    <Choice
      label="How it was switched on"
      value={powerUp}
      options={POWER_UPS.map((value) => ({ value, label: value }))}
      onChange={(next) => onChange({ powerUp: next })}
    />
    {asksWhen && (
      <Choice
        label="When it was switched on"
        value={ON_FOR.find(({ sinceS }) => sinceS === sincePowerUpS)?.value ?? 'not known'}
        options={ON_FOR.map(({ value }) => ({ value, label: value }))}
        onChange={(next) =>
          onChange({ sincePowerUpS: ON_FOR.find(({ value }) => value === next)?.sinceS ?? null })
        }
      />
    )}
  </>
);
