import { BaseError } from 'sequelize';

/** Whether an error is the database's own (away, or a constraint), rather than a fault of the code. */
export const isDatabaseError = (error: unknown): error is BaseError => error instanceof BaseError;
