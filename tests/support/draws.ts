/** Set by `./corvat coverage`: all cases are drawn. */
const WHOLE = process.env.CORVAT_DRAWS === 'whole';

/** How many of so many simulated cases are drawn: a quarter shows a gross fault, all of them a slight one. */
export const draws = (whole: number): number => (WHOLE ? whole : Math.ceil(whole / 4));

const threeErrors = (share: number, n: number): number => 3 * Math.sqrt((share * (1 - share)) / n);

/** What so many draws show at least where a share is as large as is promised: three standard errors below it. */
export const least = (share: number, n: number): number => share - threeErrors(share, n);

/** And at most. */
export const most = (share: number, n: number): number => share + threeErrors(share, n);
