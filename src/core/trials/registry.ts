import { ANCHOR } from './anchor';
import { ATTACHMENT_MOVE } from './attachment';
import { BEND_ROUND } from './bendRound';
import { COLOUR_TRIAL } from './colour';
import { FAULT_LOOK } from './faultLook';
import { GAIN_TRIAL } from './gain';
import { PROGRAM_START, REPORTED_ANGLE, STANDING_STRETCH } from './headingTest';
import { LAP_TRIAL } from './lap';
import { LINE_PASS } from './linePass';
import { LINE_SQUARING_TRIAL } from './lineSquaring';
import { LIGHT_TRIAL } from './light';
import { RANGE_TRIAL } from './range';
import { TURN_ROW, TURN_TRIAL } from './turn';
import { GAUGE_TRIAL } from './gauge';
import type { TrialKind } from './kind';
import { PLACING_TRIAL } from './placing';
import { PRESENCE_TRIAL } from './presence';
import { SPEED_TRIAL } from './speed';
import { SQUARING_TRIAL } from './squaring';
import { STOP_TRIAL } from './stop';
import { STRAIGHT_TRIAL } from './straight';

/** Kinds of trial by the procedure whose lists hold them. */
export const TRIAL_KINDS: Readonly<Record<string, TrialKind>> = {
  turns: TURN_TRIAL,
  square: LAP_TRIAL,
  range: RANGE_TRIAL,
  gains: GAIN_TRIAL,
  'run-log': ANCHOR,
  straight: STRAIGHT_TRIAL,
  stop: STOP_TRIAL,
  speed: SPEED_TRIAL,
  squaring: SQUARING_TRIAL,
  placing: PLACING_TRIAL,
  gauge: GAUGE_TRIAL,
  light: LIGHT_TRIAL,
  colours: COLOUR_TRIAL,
  'line-speed': LINE_PASS,
  'line-follow': BEND_ROUND,
  'line-square': LINE_SQUARING_TRIAL,
  presence: PRESENCE_TRIAL,
  'guilty-part': FAULT_LOOK,
  attachments: ATTACHMENT_MOVE,
};

/** What the files of trials hold, by what they are called. */
export const FILE_KINDS: Readonly<Record<string, TrialKind>> = {
  'turn trials': TURN_ROW,
  'straight drives': STRAIGHT_TRIAL,
  'distance sensors': RANGE_TRIAL,
  stops: STOP_TRIAL,
  'timed drives': SPEED_TRIAL,
  squaring: SQUARING_TRIAL,
  placings: PLACING_TRIAL,
  'who measures': GAUGE_TRIAL,
  'reflected light': LIGHT_TRIAL,
  colours: COLOUR_TRIAL,
  'something there': PRESENCE_TRIAL,
  'guilty part': FAULT_LOOK,
  attachments: ATTACHMENT_MOVE,
  'passes over a line': LINE_PASS,
  'rounds along an edge': BEND_ROUND,
  'squaring on a line': LINE_SQUARING_TRIAL,
  'angles of the controller': REPORTED_ANGLE,
  'starts of a program': PROGRAM_START,
  'standing with motors off and running': STANDING_STRETCH,
  'square laps': LAP_TRIAL,
  anchors: ANCHOR,
};
