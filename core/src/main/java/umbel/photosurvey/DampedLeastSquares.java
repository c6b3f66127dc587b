package umbel.photosurvey;

import java.util.Arrays;
import java.util.function.UnaryOperator;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import umbel.compute.Cancellation;

/**
 * Least squares by Levenberg and Marquardt on the normal equations, for problems in which each residual depends on few of the
 * unknowns: a row of the Jacobian costs the square of what it touches and not of all unknowns. Derivatives are taken by
 * difference. (A solver that decomposes the whole Jacobian took ten times as long with sixty limbs.)
 */
final class DampedLeastSquares {

    private static final double STEP = 1e-6;
    private static final int MOST_ROUNDS = 60;
    private static final double ENOUGH = 1e-7;
    private static final double FIRST_DAMPING = 1e-4;
    private static final double LEAST_DAMPING = 1e-12;
    private static final double MOST_DAMPING = 1e12;
    private static final double CHANGE_OF_DAMPING = 10;

    /**
     * The least sum of squares found.
     *
     * @param covariance of the unknowns, if each residual has an error of one: the inverse of the normal matrix
     */
    record Optimum(double[] point, RealMatrix covariance) {}

    private final UnaryOperator<double[]> residuals;

    private DampedLeastSquares(UnaryOperator<double[]> residuals) {
        this.residuals = residuals;
    }

    /**
     * Looks for the unknowns whose residuals have the least sum of squares.
     *
     * @param residuals each divided by its error; always as many
     * @param start left as it is
     */
    static Optimum of(UnaryOperator<double[]> residuals, double[] start) {
        return new DampedLeastSquares(residuals).solved(start.clone());
    }

    private Optimum solved(double[] start) {
        double[] x = start;
        double[] here = residuals.apply(x);
        Normal normal = normal(x, here);
        double damping = FIRST_DAMPING;
        boolean done = false;
        for (int round = 0; round < MOST_ROUNDS && !done && damping < MOST_DAMPING; round++) {
            Cancellation.check();
            double[] tried = normal.stepped(x, damping);
            double[] there = residuals.apply(tried);
            double cost = square(here);
            double gain = cost - square(there);
            if (gain >= 0) {
                x = tried;
                here = there;
                normal = normal(x, here);
                damping = Math.max(LEAST_DAMPING, damping / CHANGE_OF_DAMPING);
                done = gain <= ENOUGH * cost;
            } else {
                damping *= CHANGE_OF_DAMPING;
            }
        }
        return new Optimum(x, normal.inverse());
    }

    private static double square(double[] residuals) {
        double sum = 0;
        for (double residual : residuals) {
            sum += residual * residual;
        }
        return sum;
    }

    private Normal normal(double[] x, double[] here) {
        double[][] slope = new double[here.length][x.length];
        for (int i = 0; i < x.length; i++) {
            double was = x[i];
            x[i] = was + STEP;
            double[] there = residuals.apply(x);
            x[i] = was;
            for (int row = 0; row < here.length; row++) {
                slope[row][i] = (there[row] - here[row]) / STEP;
            }
        }
        double[][] matrix = new double[x.length][x.length];
        double[] right = new double[x.length];
        int[] touched = new int[x.length];
        for (int row = 0; row < here.length; row++) {
            int many = 0;
            for (int i = 0; i < x.length; i++) {
                if (slope[row][i] != 0) {
                    touched[many++] = i;
                }
            }
            for (int a = 0; a < many; a++) {
                double of = slope[row][touched[a]];
                right[touched[a]] -= of * here[row];
                for (int b = 0; b < many; b++) {
                    matrix[touched[a]][touched[b]] += of * slope[row][touched[b]];
                }
            }
        }
        return new Normal(matrix, right);
    }

    /** The normal equations at a place, brought to a diagonal of ones. */
    private static final class Normal {

        private final double[][] matrix;
        private final double[] right;
        private final double[] scale;

        Normal(double[][] matrix, double[] right) {
            this.matrix = matrix;
            this.right = right;
            this.scale = new double[right.length];
            for (int i = 0; i < scale.length; i++) {
                scale[i] = matrix[i][i] > 0 ? 1 / Math.sqrt(matrix[i][i]) : 1;
            }
        }

        private CholeskyDecomposition decomposed(double damping) {
            double[][] scaled = new double[right.length][];
            for (int i = 0; i < scaled.length; i++) {
                scaled[i] = new double[right.length];
                for (int j = 0; j < scaled.length; j++) {
                    scaled[i][j] = matrix[i][j] * scale[i] * scale[j];
                }
                scaled[i][i] = 1 + damping;
            }
            return new CholeskyDecomposition(new Array2DRowRealMatrix(scaled, false), 1e-9, 0);
        }

        double[] stepped(double[] x, double damping) {
            double[] scaledRight = new double[right.length];
            Arrays.setAll(scaledRight, i -> right[i] * scale[i]);
            double[] step = decomposed(damping)
                    .getSolver()
                    .solve(new ArrayRealVector(scaledRight, false))
                    .toArray();
            double[] tried = new double[x.length];
            Arrays.setAll(tried, i -> x[i] + step[i] * scale[i]);
            return tried;
        }

        RealMatrix inverse() {
            RealMatrix inverse = decomposed(LEAST_DAMPING).getSolver().getInverse();
            for (int i = 0; i < scale.length; i++) {
                for (int j = 0; j < scale.length; j++) {
                    inverse.multiplyEntry(i, j, scale[i] * scale[j]);
                }
            }
            return inverse;
        }
    }
}
