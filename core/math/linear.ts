/** Small dense symmetric matrices, row by row in one array: `a[i * n + j]`. */

/**
 * The lower Cholesky factor L of a symmetric positive definite matrix, a = L·Lᵀ; what lies above the diagonal is zero.
 * @throws RangeError where the matrix is not positive definite
 */
export function cholesky(a: Float64Array, n: number): Float64Array {
  const l = new Float64Array(n * n);
  for (let i = 0; i < n; i++) {
    for (let j = 0; j <= i; j++) {
      let sum = a[i * n + j]!;
      for (let k = 0; k < j; k++) sum -= l[i * n + k]! * l[j * n + k]!;
      if (i !== j) l[i * n + j] = sum / l[j * n + j]!;
      else if (sum > 0) l[i * n + i] = Math.sqrt(sum);
      else throw new RangeError('the matrix is not positive definite');
    }
  }
  return l;
}

/** Solves L·x = b for a lower triangle. */
export function solveLower(l: Float64Array, n: number, b: Float64Array): Float64Array {
  const x = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    let sum = b[i]!;
    for (let k = 0; k < i; k++) sum -= l[i * n + k]! * x[k]!;
    x[i] = sum / l[i * n + i]!;
  }
  return x;
}

/** Solves Lᵀ·x = b for a lower triangle. */
export function solveUpper(l: Float64Array, n: number, b: Float64Array): Float64Array {
  const x = new Float64Array(n);
  for (let i = n - 1; i >= 0; i--) {
    let sum = b[i]!;
    for (let k = i + 1; k < n; k++) sum -= l[k * n + i]! * x[k]!;
    x[i] = sum / l[i * n + i]!;
  }
  return x;
}

/** ln |a| of a matrix, from its Cholesky factor. */
export function logDeterminant(l: Float64Array, n: number): number {
  let sum = 0;
  for (let i = 0; i < n; i++) sum += Math.log(l[i * n + i]!);
  return 2 * sum;
}
