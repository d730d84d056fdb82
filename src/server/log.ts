import pino from 'pino';

/**
 * The structured log: one JSON object a line on standard error, so that output stays readable. Written
 * beside the work, and without it where it cannot be: a full disk must not end what it tells of.
 */
const destination = pino.destination({ dest: 2, sync: false });
destination.on('error', () => undefined);

export const log = pino(
  { name: 'corvat', level: process.env.CORVAT_LOG_LEVEL ?? 'info' },
  destination,
);
