/** Least variance of a dimension, so that none freezes. */
const LEAST_VARIANCE = 1e-4;

/**
 * How points spread about their mean.
 *
 * @param points - each as long as the next; one or more
 * @returns the lower triangle of the covariance, row by row, never quite flat
 */
export function covarianceOf(points: readonly Float64Array[]): readonly Float64Array[] {
  const size = points[0]?.length ?? 0;
  const mean = new Float64Array(size);
  for (const p of points) p.forEach((v, i) => (mean[i] = (mean[i] ?? 0) + v / points.length));
  const rows = Array.from({ length: size }, (_none, i) => new Float64Array(i + 1));
  for (const p of points) {
    rows.forEach((row, i) => {
      const di = ((p[i] ?? 0) - (mean[i] ?? 0)) / points.length;
      for (let j = 0; j <= i; j += 1) row[j] = (row[j] ?? 0) + di * ((p[j] ?? 0) - (mean[j] ?? 0));
    });
  }
  rows.forEach((row, i) => (row[i] = (row[i] ?? 0) + LEAST_VARIANCE));
  return rows;
}

/**
 * The root of a covariance: what turns independent normals into ones that spread by it.
 *
 * @param rows - lower triangle, row by row, positive definite
 * @returns its root, likewise
 * @source Cholesky's decomposition
 */
export function cholesky(rows: readonly Float64Array[]): readonly Float64Array[] {
  const root = rows.map((row) => new Float64Array(row.length));
  rows.forEach((row, i) => {
    for (let j = 0; j <= i; j += 1) {
      let sum = row[j] ?? 0;
      for (let k = 0; k < j; k += 1) sum -= (root[i]?.[k] ?? 0) * (root[j]?.[k] ?? 0);
      const out = root[i];
      if (out) out[j] = i === j ? Math.sqrt(Math.max(sum, 1e-9)) : sum / (root[j]?.[j] ?? 1);
    }
  });
  return root;
}
