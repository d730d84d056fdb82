import type { TurnsCalibration } from '../calibrationValues/turns';
import type { Controller } from '../control/controller';
import type { StraightStrategy } from '../control/straight/steering';
import type { Choice } from './choice';
import type { Condition } from './condition/condition';
import type { Reaction } from './reaction';
import type { Joined } from './joined';
import type { Leave, PlannedMotion } from './leave';
import type { PlanProblem } from './problems';
import type { ArmCommand } from '../machine/arm';
import type { RandomStream } from '../stats/random';
import type { Segment, Table } from '../table/table';
import type { Marked } from '../table/targets';
import type { Pose } from '../geometry/pose';
import type { Command } from '../robot/programWays';
import type { Robot } from '../robot/robot';
import type { TunedId } from '../robot/tunedIds';
import type { Taught } from './teaching/taught';
import type { TrailPiece } from './trail';
import type { DeviceKindName } from '../devices/registry';

/** Where a step is added: the heading there, the mission that is meant, and what was measured of turns. */
export interface NewStepPlace {
  /** Its own id. */
  id: string;
  headingRad: number;
  missionId: string;
  turns: TurnsCalibration | null;
  /** It is made several times: what it says should hold wherever it begins. */
  isRepeated?: boolean;
  /** As it was measured. */
  robot: Robot;
}

/** What a step does when everything goes as planned. */
export interface Motion {
  to: Pose;
  /** Signed; 0 for what does not drive. */
  distanceM: number;
  /** Signed; 0 for what does not turn. */
  angleRad: number;
  durationS: number;
  /** How long it would take if no condition ended it before. */
  byItselfS?: number;
  /** After this the motors stop and the step has failed. */
  timeoutS: number;
  problems: PlanProblem[];
  /** Of one that squares up: the wall that it stands against; null: the border. */
  against?: Segment | null;
  /** Its way, where that is no straight line. */
  trail?: TrailPiece[];
}

/** What a controller of a step is told beside the step itself; its angles are as the heading sensor is to read them. */
export interface Leg extends Motion, Joined {
  /** The heading on the table that the plan has at its start, and the reading of it. */
  fromHeadingRad: number;
  plannedReadingRad: number;
  /** How much further the right wheel had rolled than the left one after the last turn: straight on, it stays so. */
  balancedM: number;
  /** How much further a turn goes on this time than the robot's physics would have it. */
  lateRad: number;
  /** The same of a drive by the encoders, or a stop by a reading. */
  lateM: number;
  /** So far beyond its own end the one before has rolled that was joined with it: it is part of this one's way. */
  carriedM?: number;
}

/** How a step's values stand in the robot's programs; what it does not have is left out. */
export interface InProgram<S> {
  /** What a program compares as it leaves it; any of them ends it. Nothing where it ends at once, or at the time that it says. */
  leaves(step: S, planned: PlannedMotion, robot: Robot): Leave[];
  speed?: {
    /** It is a turning rate. */
    isTurn?: true;
    /** Null where the conversion was not measured. */
    commanded(step: S, robot: Robot, way: Command): number | null;
    /** The step at a command; null where the conversion was not measured. */
    withCommand(step: S, robot: Robot, way: Command, command: number): S | null;
  };
  travel?: {
    distanceM(step: S): number;
    withDistance(step: S, distanceM: number): S;
  };
  /** What else whoever types the program should know, in sentences, as it was measured. */
  notes?(step: S, robot: Robot): string[];
  steering?: {
    /** Null: this one holds no heading. */
    of(step: S): { gainMPerSPerRad: number; speedMPerS: number } | null;
    withGain(step: S, gainMPerSPerRad: number): S;
    withSpeed(step: S, speedMPerS: number): S;
    /** It holds one heading all the way: as it was planned, or as it stands as it begins. */
    holds?(step: S): 'planned' | 'as-it-stands';
  };
}

/** What steps are for, in the order in which they are offered. */
export const STEP_GROUPS = {
  drive: 'Drive and turn',
  until: 'Until something is met',
  follow: 'Along something',
  work: 'Missions, waiting',
  block: 'Blocks of steps',
} as const;

/** How a step comes into a route. */
export interface Offered<S extends { kind: string }> {
  group: keyof typeof STEP_GROUPS;
  /** Whether it can be added to a route of such a table. */
  isOffered(table: Table): boolean;
  /** As it is when a coach adds it: ordinary values, to be changed in place. */
  asAdded(place: NewStepPlace): Omit<S, 'id'>;
}

/** How an owner has a list of its steps made, by its name, and how it asks something. */
interface Walk<Inner> {
  made(list: string): Generator<Inner, void, string>;
  ask(choice: Choice): Generator<Inner, string, string>;
  /** A single motion, during which something is watched and reacted to. */
  during(list: string, reaction: Reaction): Generator<Inner, void, string>;
}

/** What a kind of step does that owns others; it knows nothing of those. */
export interface OwnerKind<S extends { kind: string }> extends Offered<S> {
  /** What it runs of its lists, in order, each as often as it is run, and what it asks meanwhile. */
  inOrder<Inner>(step: S, walk: Walk<Inner>): Generator<Inner, void, string>;
  /** What its questions look at. */
  looksAt?(step: S): readonly Condition[];
  /** What they cannot do without besides. */
  needs?(step: S): readonly DeviceKindName[];
  /** What its fields may name that is its own. */
  things?(step: S): Readonly<Record<string, readonly { id: string; name: string }[]>>;
  /** How often it runs its lists at most, for one time that it is made itself. */
  times(step: S): number;
  /** Whether they are made several times. */
  repeats: boolean;
}

/** What a kind of step does that is a motion; what it is told stands in its description, beside it. */
export interface StepKind<S extends { kind: string }> extends Offered<S> {
  /** What it cannot do without. */
  needs(step: S): readonly DeviceKindName[];
  plan(step: S, from: Pose, robot: Robot, table: Table): Motion;
  /** The motion, as an exported program makes it. */
  control(step: S, leg: Leg, robot: Robot): Controller;
  /** Of a step that turns on the spot and stops early: how fast, and how early; null: this one turns otherwise. */
  turning?: {
    of(step: S): { rateRadPerS: number; leadRad: number } | null;
    withLead(step: S, leadRad: number): S;
  };
  /** Of a step that turns and whose motors stop at full tilt: how fast then; what is not known of stops is in proportion. */
  stopsTurningAt?(step: S): number;
  /** What holds where a value was left out, by what was planned; for what may be left out. */
  asPlanned?(motion: Motion): Partial<S>;
  /** Of a step that ends by the encoders: how far it drives, and how fast. */
  byEncoders?(step: S): { distanceM: number; speedMPerS: number };
  /** Of a step that stops by its distance sensor: at which reading, and from which speed. */
  stopsBy?(step: S): { thresholdM: number; speedMPerS: number };
  /**
   * Of a step after which the program takes the heading for the planned one: which share of the heading's error
   * before it is left, and how what is left scatters besides; for which heading, where not for the planned one.
   */
  takesHeading?(step: S, robot: Robot): { shareLeft: number; sdRad: number; headingRad?: number };
  /** Of a step of which no controller knows how it moves: by how much, in the robot's own frame, and its scatter. */
  carries?(step: S): { by: Pose; sd: Pose } | undefined;
  /** It is meant to run into something. */
  meets?: true;
  /** A condition of it is its own affair: it is planned and made with it. */
  endsByItself?: true;
  /** Of a step that corrects itself otherwise than by its heading: which controller does, with which gain, and how fast it moves. */
  corrects?(
    step: S,
    robot: Robot,
  ): { by: TunedId; gain: number; speed: number; withSpeed(speed: number): S } | null;
  /** Of a step that sees lines as it comes over them: how fast, by which light sensor, and the same at another speed. */
  crossesLines?(step: S): {
    speedMPerS: number;
    sensor: string | undefined;
    withSpeed(speedMPerS: number): S;
  } | null;
  /** Of a step at which a mission is worked: which, or which part of it; in passing, as the next motion comes by. */
  marks?(step: S): Marked & { passing: boolean; leastMPerS: number; pushIsKnown: boolean };
  /** Of a step that moves an attachment: what its motor is told as the step begins; null: there is no such motor. */
  movesArm?(step: S, robot: Robot, random: RandomStream): ArmCommand | null;
  /** Of a step that is not to stop at its end: how fast it drives then, negative backwards; 0: it stops. */
  rollsOut?(step: S): number;
  /** Of a step that can be begun while the robot rolls: which way it drives, 1 or −1. */
  rollsIn?(step: S): number;
  /** Which of its values the robot can tell by where it is placed. */
  teaches?(step: S, robot: Robot): Taught<S>[];
  /** Whether it takes the robot to another place. */
  drives: boolean;
  inProgram: InProgram<S>;
}

/** The heading is held as it was planned: what earlier turns left over is taken out. */
export const heldHeading = (
  step: { gainMPerSPerRad: number },
  { plannedReadingRad }: Leg,
): StraightStrategy => ({
  strategy: 'heading-hold',
  gainMPerSPerRad: step.gainMPerSPerRad,
  headingRad: plannedReadingRad,
});
