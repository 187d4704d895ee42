package mardun.core.making;

import java.time.Duration;
import java.util.List;

/**
 * What a design's steps at the cutting table take for a number of bags. The cutting sheet reckons the same minutes from its cuts; each
 * can be set by the other.
 *
 * @param steps those that are done at the cutting table, in their order
 */
public record CuttingTime(List<Step> steps, int units) {

    private static final Duration ALIKE = Duration.ofMinutes(1);

    /** What a step takes for each bag and once per batch. */
    public record Minutes(String key, Duration perUnit, Duration perBatch) {}

    public CuttingTime {
        steps = List.copyOf(steps);
        if (units < 1) {
            throw new IllegalArgumentException("a batch has one unit or more: " + units);
        }
    }

    /** The cutting of a design. */
    public static CuttingTime of(List<Step> all, int units) {
        return new CuttingTime(
                all.stream()
                        .filter(step -> step.stage() == Stage.CUT && step.station() == Station.CUTTING_TABLE)
                        .toList(),
                units);
    }

    /** What the steps take together, hands on. */
    public Duration total() {
        return eachTimes().plus(once());
    }

    private Duration once() {
        return steps.stream().map(Step::perBatch).reduce(Duration.ZERO, Duration::plus);
    }

    private Duration eachTimes() {
        return steps.stream()
                .map(Step::perUnit)
                .reduce(Duration.ZERO, Duration::plus)
                .multipliedBy(units);
    }

    /** Whether the steps say about what the sheet says: less than a minute apart. */
    public boolean meets(Duration sheet) {
        return total().minus(sheet).abs().compareTo(ALIKE) < 0;
    }

    /**
     * What the steps would have to take so that together they are what the sheet says. What is spent once per batch stays, as far as
     * the sheet has room for it; the rest is spread over the bags, among the steps as before.
     */
    public List<Minutes> meeting(Duration sheet) {
        Duration once = once();
        boolean roomForBags = sheet.compareTo(once) > 0;
        Duration bags = eachTimes();
        return steps.stream()
                .map(step -> new Minutes(
                        step.key(),
                        roomForBags ? perUnit(step, sheet.minus(once), bags) : Duration.ZERO,
                        roomForBags ? step.perBatch() : share(sheet, step.perBatch(), once)))
                .toList();
    }

    private Duration perUnit(Step step, Duration rest, Duration bags) {
        Duration each = rest.dividedBy(units);
        return bags.isZero()
                ? each.dividedBy(steps.size())
                : share(each, step.perUnit().multipliedBy(units), bags);
    }

    private static Duration share(Duration of, Duration part, Duration whole) {
        return whole.isZero()
                ? Duration.ZERO
                : of.multipliedBy(part.toSeconds()).dividedBy(whole.toSeconds());
    }
}
