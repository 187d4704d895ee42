package mardun.core.making;

import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * One operation in making a bag.
 *
 * @param key its name among the design's steps
 * @param perUnit hands-on time for each unit
 * @param perBatch hands-on time once per batch, mostly for making the set-up
 * @param passive time that needs no hands, once per batch: glue drying, a flap held under a weight
 * @param check what to look at before going on; empty if nothing
 * @param caution what can hurt or spoil; empty if nothing
 * @param note what the maker wants to remember; empty if nothing
 * @param after the keys of the steps that come before it
 * @param uses the pieces and trims that go through the machine or the press, with their layers at the thickest place
 * @param timing what its times rest on
 * @param prompts what is shown within it, one after another
 * @param goesOn what is half made can't be put away after it, being pinned, wet or loose: it goes on at once
 * @param lay how the pieces lie on one another; empty where that isn't said
 */
public record Step(
        String key,
        String name,
        Stage stage,
        Station station,
        SetUp setUp,
        Duration perUnit,
        Duration perBatch,
        Duration passive,
        String check,
        String caution,
        String note,
        List<String> after,
        List<Use> uses,
        Timing timing,
        List<Prompt> prompts,
        boolean goesOn,
        Optional<Lay> lay) {

    /** An edge of a piece as it is drawn. */
    public enum Side {
        TOP,
        RIGHT,
        BOTTOM,
        LEFT
    }

    /**
     * A piece or a trim in a step, by its letter, with how many layers of it lie on one another.
     *
     * @param along the edges along which it is sewn here; empty where that isn't said
     */
    public record Use(String letter, int layers, Set<Side> along) {

        /** Where along isn't said. */
        public Use(String letter, int layers) {
            this(letter, layers, Set.of());
        }
    }

    public Step {
        after = List.copyOf(after);
        uses = List.copyOf(uses);
        prompts = List.copyOf(prompts);
    }

    /** A step whose times are guesses, with nothing shown within it. */
    public Step(
            String key,
            String name,
            Stage stage,
            Station station,
            SetUp setUp,
            Duration perUnit,
            Duration perBatch,
            Duration passive,
            String check,
            String caution,
            String note,
            List<String> after,
            List<Use> uses) {
        this(
                key,
                name,
                stage,
                station,
                setUp,
                perUnit,
                perBatch,
                passive,
                check,
                caution,
                note,
                after,
                uses,
                Timing.GUESS,
                List.of(),
                false,
                Optional.empty());
    }

    /** The same with other times. */
    public Step timed(Duration otherPerUnit, Duration otherPerBatch, Timing otherTiming) {
        return new Step(
                key,
                name,
                stage,
                station,
                setUp,
                otherPerUnit,
                otherPerBatch,
                passive,
                check,
                caution,
                note,
                after,
                uses,
                otherTiming,
                prompts,
                goesOn,
                lay);
    }

    /** The same among other steps, with other things going through. */
    public Step among(List<String> otherAfter, List<Use> otherUses) {
        return new Step(
                key,
                name,
                stage,
                station,
                setUp,
                perUnit,
                perBatch,
                passive,
                check,
                caution,
                note,
                otherAfter,
                otherUses,
                timing,
                prompts,
                goesOn,
                lay);
    }

    /** The same with what is shown within it. */
    public Step prompting(List<Prompt> others) {
        return new Step(
                key, name, stage, station, setUp, perUnit, perBatch, passive, check, caution, note, after, uses, timing,
                others, goesOn, lay);
    }

    /** The same where what is half made can or can't be put away after it. */
    public Step goingOn(boolean on) {
        return new Step(
                key, name, stage, station, setUp, perUnit, perBatch, passive, check, caution, note, after, uses, timing,
                prompts, on, lay);
    }

    /** The same with its pieces lying so; empty where that isn't said. */
    public Step lying(Optional<Lay> otherLay) {
        return new Step(
                key, name, stage, station, setUp, perUnit, perBatch, passive, check, caution, note, after, uses, timing,
                prompts, goesOn, otherLay);
    }

    /** What must be confirmed before a bag is counted. */
    public List<Prompt> gates() {
        return prompts.stream()
                .filter(prompt -> prompt.isGate() && !prompt.text().isBlank())
                .toList();
    }
}
