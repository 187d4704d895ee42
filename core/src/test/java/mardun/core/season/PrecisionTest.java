package mardun.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class PrecisionTest {

    static LongStream seeds() {
        return LongStream.range(0, 20);
    }

    /** A symmetric matrix that is positive definite: a random one times itself, and something on the diagonal. */
    private static double[][] matrix(long seed, int size) {
        Random random = new Random(seed);
        double[][] factor = new double[size][size];
        for (double[] row : factor) {
            Arrays.setAll(row, n -> random.nextGaussian());
        }
        double[][] matrix = new double[size][size];
        for (int row = 0; row < size; row++) {
            for (int column = 0; column < size; column++) {
                matrix[row][column] = row == column ? 0.5 : 0;
                for (int n = 0; n < size; n++) {
                    matrix[row][column] += factor[row][n] * factor[column][n];
                }
            }
        }
        return matrix;
    }

    private static double[][] copy(double[][] matrix) {
        return Arrays.stream(matrix).map(double[]::clone).toArray(double[][]::new);
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void solvesWhatTimesTheMatrixGivesTheRightSide(long seed) {
        int size = 1 + (int) seed;
        double[][] matrix = matrix(seed, size);
        double[] right = new Random(seed + 100).doubles(size, -3, 3).toArray();
        double[] solved = new Precision(copy(matrix)).solve(right);
        for (int row = 0; row < size; row++) {
            double sum = 0;
            for (int column = 0; column < size; column++) {
                sum += matrix[row][column] * solved[column];
            }
            assertThat(sum).isCloseTo(right[row], within(1e-8));
        }
    }

    @ParameterizedTest(name = "seed {0}")
    @MethodSource("seeds")
    void knowsTheVarianceOfASum(long seed) {
        int size = 1 + (int) seed;
        double[][] matrix = matrix(seed, size);
        double[] weights = new Random(seed + 200).doubles(size, -2, 2).toArray();
        double[] solved = new Precision(copy(matrix)).solve(weights);
        double variance = 0;
        for (int n = 0; n < size; n++) {
            variance += weights[n] * solved[n];
        }
        assertThat(new Precision(copy(matrix)).variance(weights)).isCloseTo(variance, within(1e-8));
    }

    @Test
    void drawsDeviationsThatScatterAsTheyShould() {
        double[][] matrix = matrix(3, 3);
        Precision precision = new Precision(copy(matrix));
        double[] weights = {1, -2, 0.5};
        Random random = new Random(1);
        double squares = 0;
        int draws = 60_000;
        for (int n = 0; n < draws; n++) {
            double[] deviations = precision.deviations(
                    new double[] {random.nextGaussian(), random.nextGaussian(), random.nextGaussian()});
            double sum = 0;
            for (int i = 0; i < 3; i++) {
                sum += weights[i] * deviations[i];
            }
            squares += sum * sum;
        }
        double variance = precision.variance(weights);
        assertThat(squares / draws).isCloseTo(variance, within(0.03 * variance));
    }

    @Test
    void leavesWhatItIsGivenAsItWas() {
        Precision precision = new Precision(matrix(4, 4));
        double[] right = {1, 2, 3, 4};
        precision.solve(right);
        precision.variance(right);
        precision.deviations(right);
        assertThat(right).containsExactly(1, 2, 3, 4);
    }

    @Test
    void refusesUnknownsThatCanNotBeToldApart() {
        assertThatThrownBy(() -> new Precision(new double[][] {{1, 1}, {1, 1}}))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("can't be told apart");
    }
}
