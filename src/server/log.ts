import pino from 'pino';

/** The structured log: one JSON object a line on standard error, so that output stays readable. */
export const log = pino(
  { name: 'corvat', level: process.env.CORVAT_LOG_LEVEL ?? 'info' },
  pino.destination({ dest: 2, sync: true }),
);
