package app.leeward.core.performer;

/**
 * The rotation that brings one set of points onto another with the least sum of squares: W. Kabsch, "A solution for the best
 * rotation to relate two sets of vectors", Acta Crystallographica A32 (1976), 922–923. Points are rows of x, y, z; both sets are
 * taken about their own middles, so that where they are and how large does not count.
 */
final class Kabsch {
    private Kabsch() {}

    /**
     * @param from at least three points that are not on one line
     * @param to the same ones elsewhere
     * @return rows of the rotation: {@code to ≈ R · from}
     */
    static double[][] rotation(double[][] from, double[][] to) {
        double[] a = middle(from);
        double[] b = middle(to);
        double[][] h = new double[3][3];
        for (int i = 0; i < from.length; i++) {
            for (int r = 0; r < 3; r++) {
                for (int c = 0; c < 3; c++) {
                    h[r][c] += (from[i][r] - a[r]) * (to[i][c] - b[c]);
                }
            }
        }
        // H = U S Vᵀ: V and S² are the axes of HᵀH
        double[][] hth = times(transposed(h), h);
        double[][] v = axes(hth);
        double[][] u = new double[3][];
        for (int k = 0; k < 2; k++) {
            u[k] = unit(applied(h, v[k]));
        }
        // the third follows from the others, also where all points lie in a plane and nothing is left of it
        u[1] = unit(minus(u[1], scaled(u[0], dot(u[0], u[1]))));
        u[2] = cross(u[0], u[1]);
        double[] third = cross(v[0], v[1]);
        double[][] r = new double[3][3];
        for (int i = 0; i < 3; i++) {
            for (int j = 0; j < 3; j++) {
                // both right-handed: the determinant is 1 and not −1
                r[i][j] = v[0][i] * u[0][j] + v[1][i] * u[1][j] + third[i] * u[2][j];
            }
        }
        return r;
    }

    private static double[] middle(double[][] points) {
        double[] m = new double[3];
        for (double[] p : points) {
            for (int i = 0; i < 3; i++) {
                m[i] += p[i] / points.length;
            }
        }
        return m;
    }

    /** The axes of a symmetric matrix, the one of the largest eigenvalue first: by Jacobi's rotations. */
    private static double[][] axes(double[][] symmetric) {
        double[][] m = {symmetric[0].clone(), symmetric[1].clone(), symmetric[2].clone()};
        double[][] v = {{1, 0, 0}, {0, 1, 0}, {0, 0, 1}};
        for (int sweep = 0; sweep < 40; sweep++) {
            for (int p = 0; p < 2; p++) {
                for (int q = p + 1; q < 3; q++) {
                    if (m[p][q] == 0) {
                        continue;
                    }
                    double theta = (m[q][q] - m[p][p]) / (2 * m[p][q]);
                    double t = (theta >= 0 ? 1 : -1) / (Math.abs(theta) + Math.sqrt(theta * theta + 1));
                    double c = 1 / Math.sqrt(t * t + 1);
                    double s = t * c;
                    for (int k = 0; k < 3; k++) {
                        double kp = m[k][p];
                        m[k][p] = c * kp - s * m[k][q];
                        m[k][q] = s * kp + c * m[k][q];
                    }
                    for (int k = 0; k < 3; k++) {
                        double pk = m[p][k];
                        m[p][k] = c * pk - s * m[q][k];
                        m[q][k] = s * pk + c * m[q][k];
                        // rows of v are the axes
                        double vp = v[p][k];
                        v[p][k] = c * vp - s * v[q][k];
                        v[q][k] = s * vp + c * v[q][k];
                    }
                }
            }
        }
        for (int i = 0; i < 2; i++) {
            for (int j = i + 1; j < 3; j++) {
                if (m[j][j] > m[i][i]) {
                    double[] axis = v[i];
                    v[i] = v[j];
                    v[j] = axis;
                    double value = m[i][i];
                    m[i][i] = m[j][j];
                    m[j][j] = value;
                }
            }
        }
        return v;
    }

    private static double[][] times(double[][] a, double[][] b) {
        double[][] out = new double[3][3];
        for (int i = 0; i < 3; i++) {
            for (int j = 0; j < 3; j++) {
                for (int k = 0; k < 3; k++) {
                    out[i][j] += a[i][k] * b[k][j];
                }
            }
        }
        return out;
    }

    private static double[][] transposed(double[][] m) {
        double[][] out = new double[3][3];
        for (int i = 0; i < 3; i++) {
            for (int j = 0; j < 3; j++) {
                out[i][j] = m[j][i];
            }
        }
        return out;
    }

    static double[] applied(double[][] m, double[] p) {
        return new double[] {dot(m[0], p), dot(m[1], p), dot(m[2], p)};
    }

    /** By the inverse of a rotation. */
    static double[] undone(double[][] r, double[] p) {
        return applied(transposed(r), p);
    }

    static double dot(double[] a, double[] b) {
        return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
    }

    private static double[] cross(double[] a, double[] b) {
        return new double[] {a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]};
    }

    private static double[] scaled(double[] a, double by) {
        return new double[] {a[0] * by, a[1] * by, a[2] * by};
    }

    private static double[] minus(double[] a, double[] b) {
        return new double[] {a[0] - b[0], a[1] - b[1], a[2] - b[2]};
    }

    private static double[] unit(double[] a) {
        double length = Math.sqrt(dot(a, a));
        return length == 0 ? a : scaled(a, 1 / length);
    }
}
