/** Where runs end along and across the travel: on average, and how far apart. */
export interface AlongAcrossFigures {
  biasAlongM: number;
  biasAcrossM: number;
  sdAlongM: number | null;
  sdAcrossM: number | null;
}
