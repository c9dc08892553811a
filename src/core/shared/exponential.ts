/**
 * Exponential and logarithms that give the same bits everywhere. The language leaves the last bit of Math.exp and Math.log
 * to each engine, and a case must come out the same on the server, in a browser and in a terminal; additions, products and
 * quotients are exact everywhere, so these use nothing else.
 * Source: the algorithms and coefficients of fdlibm, e_exp.c and e_log.c (Sun Microsystems 1993), from memory; error below one
 * unit in the last place.
 */

const LN2_HIGH = 6.9314718036912381649e-1;
const LN2_LOW = 1.90821492927058770002e-10;
const PER_LN2 = 1.442695040888963387;

/** Two views of one number's bits. */
const asFloat = new Float64Array(1);
const asWords = new Uint32Array(asFloat.buffer);
// Which of the two words is the high one depends on the machine's byte order.
asFloat[0] = 1;
const HIGH = asWords[1] === 0x3ff00000 ? 1 : 0;
const EXPONENT_BIAS = 1023;

/** 2 to a whole power between −1022 and 1023. */
function powerOfTwo(k: number): number {
  asWords[1 - HIGH] = 0;
  asWords[HIGH] = (k + EXPONENT_BIAS) << 20;
  return asFloat[0]!;
}

/** r less a polynomial in r², so that (e^r − 1) = r + r·c / (2 − c) for |r| below ln 2 / 2. */
function corrected(r: number): number {
  const t = r * r;
  return (
    r -
    t *
      (1.66666666666666019037e-1 +
        t *
          (-2.77777777770155933842e-3 +
            t * (6.61375632143793436117e-5 + t * (-1.6533902205465251539e-6 + t * 4.13813679705723846039e-8))))
  );
}

/**
 * e to the power of x. 0 below −745, ∞ above 709.78, NaN for NaN.
 * @example exp(1) // 2.718281828459045
 */
export function exp(x: number): number {
  if (Number.isNaN(x)) return NaN;
  if (x > 709.782712893384) return Infinity;
  if (x < -745.1332191019411) return 0;
  const k = Math.abs(x) < 0.34657359027997264 ? 0 : Math.trunc(PER_LN2 * x + (x < 0 ? -0.5 : 0.5));
  const high = x - k * LN2_HIGH;
  const low = k * LN2_LOW;
  const r = high - low;
  const c = corrected(r);
  const y = 1 - (low - (r * c) / (2 - c) - high);
  // In two steps where the result is too small for one power of two.
  return k >= -1021
    ? y * powerOfTwo(Math.min(k, 1023)) * (k > 1023 ? 2 : 1)
    : y * powerOfTwo(k + 1000) * powerOfTwo(-1000);
}

/** e to the power of x, less 1, without loss for small x. @example expm1(-1e-20) // -1e-20 */
export function expm1(x: number): number {
  if (!(Math.abs(x) < 0.34657359027997264)) return exp(x) - 1;
  const c = corrected(x);
  return x + (x * c) / (2 - c);
}

/**
 * Natural logarithm. −∞ for 0, NaN below 0. @example ln(10) // 2.302585092994046
 */
export function ln(x: number): number {
  if (Number.isNaN(x) || x < 0) return NaN;
  if (x === 0) return -Infinity;
  if (x === Infinity) return Infinity;
  // A number too small for a full mantissa is lifted first.
  const lifted = x < 2.2250738585072014e-308 ? x * powerOfTwo(54) : x;
  asFloat[0] = lifted;
  let k = (asWords[HIGH]! >>> 20) - EXPONENT_BIAS - (lifted === x ? 0 : 54);
  asWords[HIGH] = (asWords[HIGH]! & 0x000fffff) | 0x3ff00000;
  let mantissa = asFloat[0]!;
  if (mantissa > Math.SQRT2) {
    mantissa /= 2;
    k++;
  }
  const f = mantissa - 1;
  const s = f / (2 + f);
  const z = s * s;
  const w = z * z;
  const odd = w * (3.999999999940941908e-1 + w * (2.222219843214978396e-1 + w * 1.531383769920937332e-1));
  const even =
    z *
    (6.66666666666673513e-1 +
      w * (2.857142874366239149e-1 + w * (1.818357216161805012e-1 + w * 1.479819860511658591e-1)));
  const half = 0.5 * f * f;
  return k * LN2_HIGH - (half - (s * (half + odd + even) + k * LN2_LOW) - f);
}

/** ln(1 + x) without loss for small x. NaN below −1. @example ln1p(1e-20) // 1e-20 */
export function ln1p(x: number): number {
  const u = 1 + x;
  if (u === 1) return x;
  if (u <= 0 || !Number.isFinite(u)) return ln(u);
  // What the sum has lost is put back, to first order.
  return ln(u) - (u - 1 - x) / u;
}
