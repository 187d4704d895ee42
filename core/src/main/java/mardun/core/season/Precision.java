package mardun.core.season;

/**
 * How well a number of unknowns is known together: the inverse of their covariance, split into triangles. Written here because the few
 * hundred unknowns of a season are split some twenty times within a second.
 */
final class Precision {

    /** Columns that are worked out at once. */
    private static final int TOGETHER = 4;

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
            int column = 0;
            for (; column + TOGETHER <= row; column += TOGETHER) {
                lessBefore(row, column);
                for (int next = column; next < column + TOGETHER; next++) {
                    finish(row, next, column);
                }
            }
            for (; column <= row; column++) {
                finish(row, column, 0);
            }
        }
    }

    /** Takes from four columns of a row what the columns before all of them give: as a processor can do it, four at once. */
    private void lessBefore(int row, int column) {
        double[] its = lower[row];
        double[] first = lower[column];
        double[] second = lower[column + 1];
        double[] third = lower[column + 2];
        double[] fourth = lower[column + 3];
        double ofFirst = its[column];
        double ofSecond = its[column + 1];
        double ofThird = its[column + 2];
        double ofFourth = its[column + 3];
        for (int n = 0; n < column; n++) {
            double one = its[n];
            ofFirst -= one * first[n];
            ofSecond -= one * second[n];
            ofThird -= one * third[n];
            ofFourth -= one * fourth[n];
        }
        its[column] = ofFirst;
        its[column + 1] = ofSecond;
        its[column + 2] = ofThird;
        its[column + 3] = ofFourth;
    }

    /** The element of a row and column, from which what the columns before {@code from} give was taken already. */
    private void finish(int row, int column, int from) {
        double[] its = lower[row];
        double[] other = lower[column];
        double sum = its[column];
        for (int n = from; n < column; n++) {
            sum -= its[n] * other[n];
        }
        if (column < row) {
            its[column] = sum / other[column];
        } else if (sum > 0) {
            its[row] = Math.sqrt(sum);
        } else {
            throw new IllegalArgumentException("the unknowns can't be told apart: row " + row + " leaves " + sum);
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
