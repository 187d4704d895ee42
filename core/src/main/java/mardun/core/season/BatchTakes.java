package mardun.core.season;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * What so many of each item take when they are made as one batch: with set-ups that designs share, and with cloths that are laid out for all
 * bags together. Items are reckoned one by one, so this is what tells how far that is off.
 *
 * @param minutes of work, in all
 * @param cloth metres or pieces of each cloth, by its name, as far as they are known
 */
public record BatchTakes(double minutes, Map<String, Double> cloth) {

    private static final double WORTH_IT = 0.01;

    public BatchTakes {
        cloth = Map.copyOf(cloth);
    }

    /** Whether it is otherwise than the items say, by more than a hundredth of the time or of a cloth. */
    public boolean differsFrom(SeasonUse reckoned) {
        return isOther(part(minutes, reckoned.minutes()))
                || cloth.entrySet().stream()
                        .anyMatch(one ->
                                isOther(part(one.getValue(), reckoned.cloth().getOrDefault(one.getKey(), 0.0))));
    }

    private static boolean isOther(double part) {
        return Math.abs(part - 1) > WORTH_IT;
    }

    /** What is taken, as a part of what was reckoned; 1 where nothing was. */
    private static double part(double taken, double reckoned) {
        return reckoned > 0 && taken > 0 ? taken / reckoned : 1;
    }

    /**
     * A season in which items take so much more or less of the time, and of each cloth, as the batch does of what they were reckoned to
     * take.
     *
     * @param made what was made as a batch
     */
    public Season in(Season season, int[] made) {
        SeasonUse reckoned = SeasonUse.of(season, made);
        double ofTime = part(minutes, reckoned.minutes());
        List<SeasonItem> items = season.items().stream()
                .map(item -> item.taking(
                        item.minutes() * ofTime,
                        item.setUpMinutes() * ofTime,
                        item.clothUse().entrySet().stream()
                                .collect(Collectors.toMap(
                                        Map.Entry::getKey,
                                        one -> one.getValue() * ofCloth(one.getKey(), reckoned),
                                        (some, others) -> others,
                                        TreeMap::new))))
                .toList();
        return new Season(items, season.limits(), season.past(), season.coming(), season.together());
    }

    private double ofCloth(String name, SeasonUse reckoned) {
        return part(cloth.getOrDefault(name, 0.0), reckoned.cloth().getOrDefault(name, 0.0));
    }
}
