package mardun.core.season;

/**
 * How well a number of unknowns is known together: the inverse of their covariance, split into triangles. Written here because the few
 * hundred unknowns of a season are split some twenty times within a second.
 */
final class Precision {

    private final double[][] lower;

    /**
     * Splits a matrix.
     *
     * @param matrix symmetric and positive definite; only its lower triangle is read, and it is overwritten
     * @throws IllegalArgumentException if it isn't positive definite
     */
    Precision(double[][] matrix) {
        lower = matrix;
        for (int row = 0; row < lower.length; row++) {
            double[] its = lower[row];
            for (int column = 0; column <= row; column++) {
                double[] other = lower[column];
                double sum = its[column];
                for (int n = 0; n < column; n++) {
                    sum -= its[n] * other[n];
                }
                if (column < row) {
                    its[column] = sum / other[column];
                } else if (sum > 0) {
                    its[row] = Math.sqrt(sum);
                } else {
                    throw new IllegalArgumentException(
                            "the unknowns can't be told apart: row " + row + " leaves " + sum);
                }
            }
        }
    }

    /** What the matrix times the result gives. */
    double[] solve(double[] right) {
        double[] result = forward(right.clone());
        return backward(result);
    }

    /** Deviations of the unknowns together, from independent ones of size one. */
    double[] deviations(double[] independent) {
        return backward(independent.clone());
    }

    /** The variance of a sum of the unknowns. */
    double variance(double[] weights) {
        double sum = 0;
        for (double one : forward(weights.clone())) {
            sum += one * one;
        }
        return sum;
    }

    private double[] forward(double[] vector) {
        for (int row = 0; row < vector.length; row++) {
            double sum = vector[row];
            double[] its = lower[row];
            for (int n = 0; n < row; n++) {
                sum -= its[n] * vector[n];
            }
            vector[row] = sum / its[row];
        }
        return vector;
    }

    private double[] backward(double[] vector) {
        for (int row = vector.length - 1; row >= 0; row--) {
            vector[row] /= lower[row][row];
            double[] its = lower[row];
            double value = vector[row];
            for (int n = 0; n < row; n++) {
                vector[n] -= its[n] * value;
            }
        }
        return vector;
    }
}
