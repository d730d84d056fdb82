/*
 * Normal random numbers from layers of equal area under the bell curve: most of them cost one draw and one
 * multiplication.
 *
 * Source: Marsaglia and Tsang, The ziggurat method for generating random variables, J. Stat. Softw. 5 (2000)
 * no. 8, in the form of Doornik, An improved ziggurat method to generate normal random samples (2005): the
 * layer and the place in it come from different bits.
 */

const LAYERS = 128;
/** Where the tail begins, and the area of each layer, for 128 of them (Marsaglia and Tsang). */
const TAIL_FROM = 3.442619855899;
const AREA = 9.91256303526217e-3;

const density = (x: number): number => Math.exp(-0.5 * x * x);

/** Half-widths of the layers: [0] that of the base and its tail together, then falling to 0. */
const widths = new Float64Array(LAYERS + 1);
widths[0] = AREA / density(TAIL_FROM);
widths[1] = TAIL_FROM;
for (let i = 2; i < LAYERS; i += 1) {
  const below = widths[i - 1] ?? 0;
  widths[i] = Math.sqrt(-2 * Math.log(AREA / below + density(below)));
}

/** A draw of 25 bits, counted from −2²⁴, is in layer i at once when it is smaller than this. */
const inside = new Int32Array(LAYERS);
/** And stands for so much. */
const perCount = new Float64Array(LAYERS);
const COUNTS = 2 ** 24;
for (let i = 0; i < LAYERS; i += 1) {
  const width = widths[i] ?? 1;
  inside[i] = Math.floor(((widths[i + 1] ?? 0) / width) * COUNTS);
  perCount[i] = width / COUNTS;
}

/** Draws 32 random bits. */
interface Bits {
  next(): number;
}

/** One standard normal number. */
export function ziggurat(bits: Bits): number {
  const drawn = bits.next();
  const layer = drawn >>> 25;
  const count = (drawn << 7) >> 7;
  const size = count < 0 ? -count : count;
  const within = inside[layer] ?? 0;
  return size < within ? count * (perCount[layer] ?? 0) : atTheEdge(layer, count, bits);
}

const uniform = (bits: Bits): number => ((bits.next() >>> 0) + 0.5) / 2 ** 32;

/** What fell beside a layer's core: the wedge under the curve, the tail, or another draw. */
function atTheEdge(layer: number, count: number, bits: Bits): number {
  if (layer === 0) return count < 0 ? -beyond(bits) : beyond(bits);
  const x = count * (perCount[layer] ?? 0);
  const low = density(widths[layer] ?? 0);
  const high = density(widths[layer + 1] ?? 0);
  return low + uniform(bits) * (high - low) < density(x) ? x : ziggurat(bits);
}

/** Of the tail: Marsaglia 1964. */
function beyond(bits: Bits): number {
  for (;;) {
    const x = -Math.log(uniform(bits)) / TAIL_FROM;
    if (-2 * Math.log(uniform(bits)) > x * x) return TAIL_FROM + x;
  }
}
