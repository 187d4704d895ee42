package mardun.core.estimate;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Some bags of a step that were done in one go, and how long they took together.
 *
 * @param key of the touch that counted the last of them
 * @param first the number of the first of them in its batch, from 1
 * @param bags at least one
 */
public record Measurement(String key, String batch, int first, int bags, Duration time) {

    /** Bags that are counted faster than in this share of what one takes were finished together with those before. */
    private static final double OF_A_PILE = 0.2;

    /** From one bag of a pile to the next. */
    private static final Duration OF_A_PILE_AT_MOST = Duration.ofMinutes(1);

    /**
     * What touches say. Time in which nothing was finished belongs to the bag that is finished next; a bag whose count is taken back
     * isn't finished yet; a pile that is counted afterwards is one measurement. Time after the last bag that was finished is no
     * measurement yet, and bags that were counted without a clock are none.
     *
     * @param touches of one step in the order in which they were made
     * @param guess how long one bag is thought to take
     */
    public static List<Measurement> of(List<Touch> touches, Duration guess) {
        Map<String, List<Touch>> byBatch = new LinkedHashMap<>();
        touches.forEach(touch -> byBatch.computeIfAbsent(touch.batch(), batch -> new ArrayList<>())
                .add(touch));
        List<Measurement> measurements = new ArrayList<>();
        byBatch.values().forEach(its -> measurements.addAll(ofOneBatch(its, guess)));
        return measurements;
    }

    private static List<Measurement> ofOneBatch(List<Touch> touches, Duration guess) {
        List<Measurement> measurements = new ArrayList<>();
        Duration since = Duration.ZERO;
        Instant counted = Instant.MIN;
        int done = 0;
        for (Touch touch : touches) {
            since = since.plus(touch.hands());
            int last = measurements.size() - 1;
            if (touch.bags() > 0) {
                Measurement next = new Measurement(touch.key(), touch.batch(), done + 1, touch.bags(), since);
                boolean isPile = isFast(next, guess) && touch.at().isBefore(counted.plus(OF_A_PILE_AT_MOST));
                if (last >= 0 && isPile) {
                    measurements.set(last, measurements.get(last).with(next));
                } else {
                    measurements.add(next);
                }
                since = Duration.ZERO;
                counted = touch.at();
                done += touch.bags();
            }
            int back = Math.min(done, -Math.min(0, touch.bags()));
            done -= back;
            while (back > 0) {
                Measurement its = measurements.remove(measurements.size() - 1);
                int left = its.bags() - back;
                back = Math.max(0, -left);
                if (left > 0) {
                    measurements.add(new Measurement(its.key(), its.batch(), its.first(), left, its.time()));
                } else {
                    since = since.plus(its.time());
                }
            }
        }
        measurements.removeIf(one -> one.time().isZero());
        return measurements;
    }

    private static boolean isFast(Measurement next, Duration guess) {
        return next.time().toMillis() < OF_A_PILE * guess.toMillis() * next.bags();
    }

    private Measurement with(Measurement next) {
        return new Measurement(next.key(), batch, first, bags + next.bags(), time.plus(next.time()));
    }
}
