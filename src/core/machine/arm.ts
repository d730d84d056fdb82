/** What the motor of an attachment is told: to go to an angle, or to turn for a time. */
export interface ArmCommand {
  unitId: string;
  /** The angle of the motor at which it stops; null: it turns for its time. */
  toRad: number | null;
  /** Signed where it turns for a time. */
  rateRadPerS: number;
  /** Null: until it is there. */
  durationS: number | null;
}

/** The motor of an attachment, which goes on by itself while the robot drives. */
export class Arm {
  private fromRad: number;
  private startS = 0;
  private toRad: number;
  private rateRadPerS = 0;

  /** @param atRad where it stands as the robot is placed */
  constructor(atRad: number) {
    this.fromRad = atRad;
    this.toRad = atRad;
  }

  begin({ toRad, rateRadPerS, durationS }: ArmCommand, timeS: number): void {
    this.fromRad = this.angleRad(timeS);
    this.startS = timeS;
    this.toRad = toRad ?? this.fromRad + rateRadPerS * (durationS ?? 0);
    this.rateRadPerS = Math.abs(rateRadPerS);
  }

  angleRad(timeS: number): number {
    const way = this.toRad - this.fromRad;
    const made = Math.min(Math.abs(way), this.rateRadPerS * (timeS - this.startS));
    return this.fromRad + Math.sign(way) * made;
  }
}
