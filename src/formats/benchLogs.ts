import { z } from 'zod';
import { channelOf } from '../core/channels/key';
import { LOG_PIECE_SAMPLES, LOG_SOURCES, MAX_CHANNELS, MAX_LOG_SAMPLES } from './benchConstants';
import { id, time } from './fields';

/** Which channel of a log: `channels/key.ts`. */
const channelKey = z.string().refine((key) => channelOf(key) !== null, 'expected a channel');

/** A recorded log, raw but in Corvat's units and directions; its samples come in pieces. */
export const benchLogRecord = z.object({
  id,
  robotId: id,
  name: z.string().trim().min(1, 'expected a name').max(80),
  source: z.enum(LOG_SOURCES),
  columns: z.array(channelKey).min(1).max(MAX_CHANNELS),
  pieces: z
    .number()
    .int()
    .min(1)
    .max(Math.ceil(MAX_LOG_SAMPLES / LOG_PIECE_SAMPLES)),
  samples: z.number().int().min(2).max(MAX_LOG_SAMPLES),
  takenAt: time,
});

const value = z.number().min(-1e9).max(1e9);
const values = z.array(value).max(LOG_PIECE_SAMPLES);
const valuesWithGaps = z.array(value.nullable()).max(LOG_PIECE_SAMPLES);

/** A piece of a log: one list of numbers per channel, all of one length, null where one has a gap. */
export const benchLogPiece = z
  .object({
    number: z.number().int().min(0),
    tS: values.min(1),
    columns: z.record(channelKey, valuesWithGaps),
  })
  .refine(
    ({ tS, columns }) => Object.values(columns).every((column) => column.length === tS.length),
    'expected columns of one length',
  );

export type BenchLogRecord = z.output<typeof benchLogRecord>;
export type BenchLogPiece = z.output<typeof benchLogPiece>;
