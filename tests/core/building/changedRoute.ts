import { arm, by, dark, drive, to } from './routes';

/** What is changed on a sheet, one thing at a time: a number, a sign, an inequality, a port. */
export const CHANGED: unknown[] = [
  to(8),
  { kind: 'to-line', sensor: 'LL' },
  drive(-0.6),
  to(90),
  drive(0.5),
  by(-30, { strategy: 'two-speed' }),
  { kind: 'approach', thresholdM: 0.8, speedMPerS: 0.2, slowMPerS: 0.1, slowFromM: 0.95 },
  arm(80),
  {
    kind: 'decide',
    if: { ...dark(), confirmations: 2 },
    usual: 'else',
    then: [drive(0.1)],
    else: [drive(0.1), { kind: 'timed', seconds: 0.5, leftShare: 0.3, rightShare: 0.4 }],
  },
];
/** What lies there in some runs, where it decides. */
export const tile = { x1M: 1.5, y1M: 1.4, x2M: 2, y2M: 1.9, colour: '#202020' };
