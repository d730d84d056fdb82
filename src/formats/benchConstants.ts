export const LOG_SOURCES = ['stand-in', 'file', 'serial', 'typed'] as const;

/** The longest log: half an hour at 100 readings a second, and some. */
export const MAX_LOG_SAMPLES = 400_000;

export const LOG_PIECE_SAMPLES = 8000;

/** A log has so many channels at most. */
export const MAX_CHANNELS = 24;

/** How the sensor was started before a check. */
export const POWER_UPS = ['lying still', 'in the hand', 'not known'] as const;

export const MAX_TRIALS = 500;
