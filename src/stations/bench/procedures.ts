import { directions } from './directions';
import { attachments } from './attachments';
import { colours } from './colours';
import { drill } from './drill';
import { gauge } from './gauge';
import { gains } from './gains';
import { headingTests } from './heading-tests';
import { guiltyPart } from './guilty-part';
import { light } from './light';
import { lineSquare } from './line-square';
import { lineSpeed } from './line-speed';
import { lineFollow } from './line-follow';
import { loop } from './loop';
import { reZero } from './re-zero';
import { presence } from './presence';
import { placing } from './placing';
import { range } from './range';
import { runLog } from './run-log';
import { schools } from './schools';
import { speed } from './speed';
import { square } from './square';
import { squaring } from './squaring';
import { still } from './still';
import { stop } from './stop';
import { straight } from './straight';
import { straightWays } from './straight-schools';
import { turns } from './turns';
import { calibrations } from './calibrations';
import { overview } from './overview';
import type { BenchPage, Procedure } from './procedure';

/** The procedures of the Bench, in the order in which a season begins. */
export const PROCEDURES: readonly Procedure[] = [
  directions,
  headingTests,
  guiltyPart,
  gauge,
  placing,
  still,
  reZero,
  turns,
  schools,
  runLog,
  straight,
  speed,
  square,
  range,
  stop,
  presence,
  squaring,
  light,
  lineSpeed,
  lineFollow,
  lineSquare,
  colours,
  straightWays,
  gains,
  attachments,
  loop,
  drill,
];

/** All pages of the Bench. */
export const BENCH_PAGES: readonly BenchPage[] = [
  overview(PROCEDURES),
  ...PROCEDURES,
  calibrations(PROCEDURES),
];
