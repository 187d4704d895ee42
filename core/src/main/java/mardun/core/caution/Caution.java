package mardun.core.caution;

import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import mardun.core.making.Stage;
import mardun.core.making.Station;
import mardun.core.making.Step;
import mardun.core.material.Ware;

/** Usual care at the bench, shown where it applies. It is no advice, and never a statement that a product complies. */
public enum Caution {
    BLADE(
            "Blade",
            "Close it each time you put it down. Cut away from the hand that holds the ruler.",
            at(Station.CUTTING_TABLE)),
    IRON(
            "Iron",
            "Hot plate: mind the hands, keep a mat under the press, and never on vinyl, laminate, cork or zip tape.",
            at(Station.PRESS)),
    NEEDLE(
            "Needle",
            "Over the slider and thick seams turn the wheel by hand, and wear eye protection.",
            at(Station.MACHINE)),
    POSTURE("Pause", "Long sessions: good light, a stretch and a break every hour.", at(Station.WORK_TABLE)),
    GLUE("Glue", "Air the room, wear gloves, and let it dry its time; a glue gun burns.", says("\\bglu(e|ed|ing)\\b")),
    PIERCING(
            "Awl and pliers",
            "Pierce on a board, never on the hand.",
            says("\\b(awls?|pliers|eyelets?|rivets?|pierc\\w*|punch\\w*)\\b")),
    NUT_SHELLS(
            "Nut shells",
            "They are an allergen: name them on the label.",
            finishing(here -> here.fillings().stream()
                    .anyMatch(name -> Words.of("\\w*(nut|shell)s?\\b").in(name)))),
    MAGNETS(
            "Magnets",
            "Not for small children, and to be kept away from pacemakers: say so on the label.",
            finishing(here -> here.wares().contains(Ware.MAGNET))),
    CHILDREN(
            "For children",
            "Cords, ribbons, small parts, snaps and magnets are hazards for them. Check your local product-safety rules,"
                    + " or ask someone licensed to advise.",
            finishing(Here::forChildren));

    /**
     * A stage of the work and what is there.
     *
     * @param steps of the stage
     * @param wares what the trims and notions are
     * @param fillings what the fillings are called
     */
    public record Here(
            Stage stage, Collection<Step> steps, Set<Ware> wares, Collection<String> fillings, boolean forChildren) {}

    /** Words that are looked for in what the maker wrote, whatever their case. */
    private record Words(Pattern pattern) {

        static Words of(String regex) {
            return new Words(Pattern.compile(regex, Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CHARACTER_CLASS));
        }

        boolean in(String text) {
            return pattern.matcher(text).find();
        }
    }

    private final String name;
    private final String text;
    private final Predicate<Here> applies;

    Caution(String name, String text, Predicate<Here> applies) {
        this.name = name;
        this.text = text;
        this.applies = applies;
    }

    private static Predicate<Here> at(Station station) {
        return here -> here.steps().stream().anyMatch(step -> step.station() == station);
    }

    private static Predicate<Here> says(String regex) {
        Words words = Words.of(regex);
        return here -> here.steps().stream()
                .anyMatch(step -> words.in(step.name()) || words.in(step.note()) || words.in(step.check()));
    }

    private static Predicate<Here> finishing(Predicate<Here> what) {
        return here -> here.stage() == Stage.FINISH && what.test(here);
    }

    public String title() {
        return name;
    }

    public String text() {
        return text;
    }

    /** The cautions for a stage, by its stations, what its steps say, and what the bag is made of. */
    public static List<Caution> at(Here here) {
        return Arrays.stream(values())
                .filter(caution -> caution.applies.test(here))
                .toList();
    }
}
