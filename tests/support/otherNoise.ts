/** Noise that shares no code with what it judges: a linear congruential generator (Numerical Recipes), Box and Muller. */
export interface OtherNoise {
  uniform(): number;
  normal(): number;
}

export function otherNoise(seed: number): OtherNoise {
  let state = seed >>> 0;
  const uniform = (): number => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return (state + 0.5) / 2 ** 32;
  };
  const normal = (): number =>
    Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
  return { uniform, normal };
}
