package mardun.core.season;

import java.util.Arrays;
import org.hipparchus.random.RandomDataGenerator;

/**
 * The buyers of one event, in the order in which they come.
 *
 * @param wants the item that each of them wants first
 * @param mood of each of them, from 0 to 1: the lower, the readier to take another
 * @param appeal of each item, by which a buyer chooses another
 */
public record Visit(int[] wants, double[] mood, double[] appeal) {

    /**
     * Draws the buyers.
     *
     * @param appeal how many buyers each item may expect
     * @param day a factor of all of them on that day
     * @param shape of the gamma by which each item's day scatters
     */
    public static Visit draw(double[] appeal, double day, double[] shape, RandomDataGenerator random) {
        int[] all = new int[16];
        int size = 0;
        for (int item = 0; item < appeal.length; item++) {
            double rate = appeal[item] * day;
            if (rate > 0) {
                double own = random.nextGamma(shape[item], 1 / shape[item]);
                int buyers = rate * own > 0 ? random.nextPoisson(rate * own) : 0;
                if (size + buyers > all.length) {
                    all = Arrays.copyOf(all, Math.max(2 * all.length, size + buyers));
                }
                Arrays.fill(all, size, size + buyers, item);
                size += buyers;
            }
        }
        for (int n = size - 1; n > 0; n--) {
            int other = random.nextInt(0, n);
            int kept = all[n];
            all[n] = all[other];
            all[other] = kept;
        }
        double[] mood = new double[size];
        for (int n = 0; n < size; n++) {
            mood[n] = random.nextUniform(0, 1);
        }
        return new Visit(Arrays.copyOf(all, size), mood, appeal);
    }
}
