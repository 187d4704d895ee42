package mardun.core.season;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The unknown effects that a rate is made of, each with what is held to be likely of it. The rate's logarithm is a sum of some of them. */
final class Effects {

    private static final double FREEDOM = 3;

    private final Map<List<Object>, Integer> places = new HashMap<>();
    private final List<double[]> likely = new ArrayList<>();
    private final Set<Integer> seldomLarge = new HashSet<>();

    /**
     * The place of an effect, which is added the first time that it is asked for.
     *
     * @param mean what is expected of it
     * @param spread its standard deviation
     * @param name what it is an effect of
     */
    int of(double mean, double spread, Object... name) {
        return places.computeIfAbsent(List.of(name), key -> {
            likely.add(new double[] {mean, spread});
            return likely.size() - 1;
        });
    }

    /** The same for an effect that is small as a rule and now and then very large. */
    int nowAndThenLarge(double spread, Object... name) {
        int effect = of(0, spread, name);
        seldomLarge.add(effect);
        return effect;
    }

    int size() {
        return likely.size();
    }

    double mean(int effect) {
        return likely.get(effect)[0];
    }

    /** How firmly an effect that has a value is held to what is expected of it. */
    double precision(int effect, double value) {
        double spread = likely.get(effect)[1];
        double off = (value - mean(effect)) / spread;
        // A t distribution's grip loosens the further off the value is.
        double grip = seldomLarge.contains(effect) ? (FREEDOM + 1) / (FREEDOM + off * off) : 1;
        return grip / (spread * spread);
    }

    /** A sum of effects, each times a weight. */
    static final class Sum {
        private int[] effects = new int[24];
        private double[] weights = new double[24];
        private int size;

        Sum plus(int effect, double weight) {
            if (size == effects.length) {
                effects = Arrays.copyOf(effects, 2 * size);
                weights = Arrays.copyOf(weights, 2 * size);
            }
            effects[size] = effect;
            weights[size++] = weight;
            return this;
        }

        Sum plus(int effect) {
            return plus(effect, 1);
        }

        double at(double[] values) {
            double sum = 0;
            for (int n = 0; n < size; n++) {
                sum += weights[n] * values[effects[n]];
            }
            return sum;
        }

        /** Adds itself times a factor to a vector. */
        void addTo(double[] vector, double factor) {
            for (int n = 0; n < size; n++) {
                vector[effects[n]] += factor * weights[n];
            }
        }

        /** Adds its square, as a matrix, times a factor to the lower triangle of a matrix. */
        void addSquareTo(double[][] matrix, double factor) {
            for (int a = 0; a < size; a++) {
                for (int b = 0; b < size; b++) {
                    if (effects[b] <= effects[a]) {
                        matrix[effects[a]][effects[b]] += factor * weights[a] * weights[b];
                    }
                }
            }
        }
    }
}
