/** The floor where nobody has said how it looks. */
export const WHITE = '#ffffff';
/** Lines on it. */
export const BLACK = '#000000';
