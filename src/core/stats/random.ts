import { xoroshiro128plusFromState } from 'pure-rand/generator/xoroshiro128plus';
import { ziggurat } from './ziggurat';

/** A stream of random numbers of one source in one run. */
export interface RandomStream {
  /** Uniform in [0, 1). */
  uniform(): number;
  /** Standard normal. */
  normal(): number;
}

/** Austin Appleby's 32-bit finalizer (MurmurHash3): every input bit changes about half of the output. */
function mix(value: number): number {
  let h = value | 0;
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  return h ^ (h >>> 16);
}

/** FNV-1a over the characters of a name. */
function hashName(name: string): number {
  let h = 0x811c9dc5;
  for (let i = 0; i < name.length; i += 1) h = Math.imul(h ^ name.charCodeAt(i), 0x01000193);
  return h;
}

/**
 * A stream that is a function of (seed, run index, source) only, so that neither the number of
 * workers nor the order of the runs changes any number.
 *
 * Generator: xoroshiro128+ (Blackman and Vigna 2018). Normals: `ziggurat`.
 */
export function randomStream(seed: number, runIndex: number, source: string): RandomStream {
  const words = [0x9e3779b9, 0x7f4a7c15, 0x94d049bb, 0x2545f491].map((constant) =>
    mix(mix(mix(seed ^ constant) + runIndex) ^ hashName(source)),
  );
  return new Stream(xoroshiro128plusFromState(words));
}

const PER_UINT32 = 1 / 4294967296;

class Stream implements RandomStream {
  constructor(private readonly generator: ReturnType<typeof xoroshiro128plusFromState>) {}

  uniform(): number {
    return (this.generator.next() >>> 0) * PER_UINT32;
  }

  normal(): number {
    return ziggurat(this.generator);
  }
}

/** What is drawn for something that is made up: a size between two, one of two directions. */
export interface Draws {
  between(low: number, high: number): number;
  either(): 1 | -1;
}

export const drawsOf = (random: RandomStream): Draws => ({
  between: (low, high) => low + (high - low) * random.uniform(),
  either: () => (random.uniform() < 0.5 ? -1 : 1),
});
